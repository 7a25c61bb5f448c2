import type { z } from 'zod';
import { EPS, rad } from '../../numerics/angles.ts';
import type { pumpCorrectInput } from './schemas.ts';

/**
 * How far the pump's flange or gear is turned for a timing: crank degrees times the ratio, and the arc that is at its bolts.
 * changeCrankDeg above 0 is earlier. `enough`: within what is left of the slot that way; true where that was not given.
 */
export function pumpCorrect(i: z.infer<typeof pumpCorrectInput>): {
  changeCrankDeg: number;
  gearDeg: number;
  arcMm?: number;
  enough: boolean;
} {
  const changeCrankDeg = i.targetBtdc - i.measuredBtdc;
  const gearDeg = Math.abs(changeCrankDeg) * i.ratio;
  const left = changeCrankDeg > 0 ? i.slotLeftDeg?.advance : i.slotLeftDeg?.retard;
  return {
    changeCrankDeg,
    gearDeg,
    ...(i.boltRadiusMm === undefined ? {} : { arcMm: i.boltRadiusMm * rad(gearDeg) }),
    enough: left === undefined || gearDeg <= left + EPS
  };
}
