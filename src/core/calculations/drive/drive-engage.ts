import type { z } from 'zod';
import { EPS, mod } from '../../numerics/angles.ts';
import type { driveEngageInput } from './schemas.ts';

/** Within this the chamfer finds the slot by itself. */
const CAPTURE_DEG = 0.5;

/**
 * The gear is in mesh, the tang not yet in the oil-pump drive. How far to turn the crank forward until it drops, and
 * from there on to the target; or by how much to turn the pump's slot by hand instead (clockwise positive, the
 * smaller way). symmetryDeg: 180 a plain blade, 360 an offset blade, 60 a hexagon.
 */
export function driveEngage(i: z.infer<typeof driveEngageInput>) {
  const s = i.rotorDirection === 'cw' ? 1 : -1;
  const turn = mod(s * (i.slotBearingDeg - i.tangBearingDeg), i.symmetryDeg);
  const aligned = turn <= CAPTURE_DEG + EPS || turn >= i.symmetryDeg - CAPTURE_DEG - EPS;
  const crankToDropDeg = aligned ? 0 : turn / i.ratio;
  const crankToTargetDeg = mod(i.targetCrankDeg - i.currentCrankDeg - crankToDropDeg, i.cycleDeg);
  let slotTurnDeg = aligned ? 0 : mod(i.tangBearingDeg - i.slotBearingDeg, i.symmetryDeg);
  if (slotTurnDeg > i.symmetryDeg / 2 + EPS) slotTurnDeg -= i.symmetryDeg;
  const slotTurn: 'cw' | 'ccw' | 'none' = slotTurnDeg === 0 ? 'none' : slotTurnDeg > 0 ? 'cw' : 'ccw';
  return {
    aligned,
    crankToDropDeg,
    crankToTargetDeg,
    totalCrankDeg: crankToDropDeg + crankToTargetDeg,
    slotTurnDeg,
    slotTurn
  };
}
