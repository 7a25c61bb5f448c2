import type { z } from 'zod';
import type { pointsDwellInput } from './schemas.ts';

/** Dwell in distributor degrees as a share of a cylinder's turn, and what changing it does: more dwell opens later, retards. */
export function pointsDwell(i: z.infer<typeof pointsDwellInput>) {
  const whole = 360 / i.cylinders;
  return {
    dwellPct: (100 * i.dwellDeg) / whole,
    newDwellPct: (100 * i.newDwellDeg) / whole,
    timingShiftDeg: -(i.newDwellDeg - i.dwellDeg) / 2 / i.ratio
  };
}
