import type { Domain } from '../../job/domain.ts';
import { domain as engine } from '../engine/domain.ts';
import { walkHeadline } from './walk.ts';

/** The walk round an engine before it is started: what was put on it, and whether it is off again. */
export const domain: Domain<object, never> = {
  name: 'walk',
  needs: [engine],
  works: {},
  surfaces: { walk: { headline: walkHeadline } }
};
