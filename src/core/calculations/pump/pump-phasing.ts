import type { z } from 'zod';
import { EPS, wrap180 } from '../../numerics/angles.ts';
import { roundAway } from '../../numerics/rounding.ts';
import type { pumpPhasingInput } from './schemas.ts';

export interface Phasing {
  elements: { element: number; errorDeg: number; shimChangeMm: number; state: 'in' | 'out' }[];
  state: 'in' | 'out';
}

/**
 * The spacing of a pump's elements round its cam against even places from the first in the order; an error above 0 is late,
 * and a late element wants its plunger raised: by error times the cam's velocity, in whole shims.
 */
export function pumpPhasing(i: z.infer<typeof pumpPhasingInput>): Phasing {
  const angle = new Map(i.angles.map((a) => [a.element, a.pumpDeg]));
  const first = angle.get(i.order[0]!)!;
  const elements = i.order.map((element, k) => {
    const errorDeg = wrap180(angle.get(element)! - first - (360 * k) / i.order.length);
    const steps = roundAway((errorDeg * i.camVelocityMmPerDeg) / i.shimStepMm);
    const state: 'in' | 'out' = Math.abs(errorDeg) <= i.toleranceDeg + EPS ? 'in' : 'out';
    return { element, errorDeg, shimChangeMm: steps * i.shimStepMm, state };
  });
  return { elements, state: elements.every((e) => e.state === 'in') ? 'in' : 'out' };
}
