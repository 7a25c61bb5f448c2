import type { Domain } from '../../job/domain.ts';
import { domain as crank } from '../crank/domain.ts';

/** The distributor as a part: in or out, pinned, sealed, seated, clamped. */
export const domain: Domain<object, never> = { name: 'distributor', needs: [crank], works: {}, surfaces: {} };
