import type { z } from 'zod';
import { EPS } from '../../numerics/angles.ts';
import { fail } from '../../errors/catalogue.ts';
import { ok, type Result } from '../../errors/result.ts';
import { gaugeU } from '../gauge/hand.ts';
import type { tdcDwellInput } from './schemas.ts';
import { anglesAtDrop, dropMm, dropSlope, slider } from '../piston/slider.ts';

export interface Dwell {
  dwellDeg: number;
  recommended: { angleDeg: number; dropMm: number; uDeg: number } | null;
  reason?: 'wheel-too-coarse' | 'dial-too-coarse';
}

/**
 * How flat the top is for a dial, and how far down to read instead.
 * dwellDeg is the crank band over which the piston moves by less than the dial's resolution. recommended is the
 * smallest whole angle from 5 to 60° before TDC at which one pair of readings reaches the target,
 * u² = (u²wheel + (uDial/slope)²)/2; null with a reason when none does.
 * Errors `geometry-impossible`; `drop-out-of-range` for a dial coarser than the stroke.
 */
export function tdcDwell(i: z.infer<typeof tdcDwellInput>): Result<Dwell> {
  const g = slider(i);
  if (!g.ok) return g;
  const s = g.out;
  const band = anglesAtDrop(s, i.dial.resolution);
  if (!band) return fail('drop-out-of-range', 'dial.resolution', { dropMm: i.dial.resolution, maxMm: s.maxDropMm });
  const dwellDeg = band.beforeDeg + band.afterDeg;
  const uWheel = gaugeU(i.wheel);
  const uDial = gaugeU(i.dial);
  for (let angle = 5; angle <= 60; angle++) {
    const u = pairU(uWheel, uDial, Math.abs(dropSlope(s, -angle)));
    if (u <= i.targetUDeg + EPS)
      return ok({ dwellDeg, recommended: { angleDeg: angle, dropMm: dropMm(s, -angle), uDeg: u } });
  }
  const reason = uWheel / Math.SQRT2 > i.targetUDeg + EPS ? 'wheel-too-coarse' : 'dial-too-coarse';
  return ok({ dwellDeg, recommended: null, reason });
}

/** Standard uncertainty (degrees) of the middle of two readings of wheel and dial at a slope in mm per degree. */
export function pairU(uWheel: number, uDial: number, slopeMmPerDeg: number): number {
  return Math.sqrt((uWheel ** 2 + (uDial / slopeMmPerDeg) ** 2) / 2);
}
