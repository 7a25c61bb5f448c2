import type { z } from 'zod';
import type { pumpTotalInput } from './schemas.ts';

/**
 * The ledger of a locked pump on a plain taper: where it is locked and where the crank stands when its gear is pressed on
 * add up to its timing. With a target: how much is short, and where the crank must stand instead.
 */
export function pumpTotal({ pumpBtdc, gearOffsetDeg, targetBtdc }: z.infer<typeof pumpTotalInput>): {
  totalBtdc: number;
  shortDeg?: number;
  crankSetBtdc: number;
} {
  const totalBtdc = pumpBtdc + gearOffsetDeg;
  return targetBtdc === undefined
    ? { totalBtdc, crankSetBtdc: gearOffsetDeg }
    : { totalBtdc, shortDeg: targetBtdc - totalBtdc, crankSetBtdc: targetBtdc - pumpBtdc };
}
