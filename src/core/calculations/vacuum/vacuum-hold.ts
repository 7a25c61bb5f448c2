import type { z } from 'zod';
import type { vacuumHoldInput } from './schemas.ts';

/** Does a vacuum capsule hold? Loss a minute against the most allowed. */
export function vacuumHold(i: z.infer<typeof vacuumHoldInput>): { lossKpaPerMin: number; state: 'in' | 'out' } {
  const lossKpaPerMin = ((i.startKpa - i.endKpa) * 60) / i.seconds;
  return { lossKpaPerMin, state: lossKpaPerMin <= i.maxLossKpaPerMin + 1e-9 ? 'in' : 'out' };
}
