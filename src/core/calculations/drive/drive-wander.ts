import type { z } from 'zod';
import { rad } from '../../numerics/angles.ts';
import type { wanderInput } from './schemas.ts';

/**
 * How far end float and backlash let the timing wander, in crank degrees: the reason to care about either.
 * Lead of the helix = πd/tan ψ (ψ from the gear's axis); float turns the shaft by 360·f/lead, backlash by 360·j/(πd).
 */
export function driveWander(i: z.infer<typeof wanderInput>) {
  const round = Math.PI * i.pitchDiameterMm;
  const leadMm = round / Math.tan(rad(i.helixAngleDeg));
  const fromFloatCrankDeg = (360 * i.endFloatMm) / leadMm / i.ratio;
  const fromBacklashCrankDeg = (360 * i.backlashMm) / round / i.ratio;
  return { leadMm, fromFloatCrankDeg, fromBacklashCrankDeg, totalCrankDeg: fromFloatCrankDeg + fromBacklashCrankDeg };
}
