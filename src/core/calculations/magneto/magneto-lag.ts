import type { z } from 'zod';
import { EPS } from '../../numerics/angles.ts';
import type { magnetoLagInput } from './schemas.ts';

/** At hand-cranking speed a spark further before TDC than this throws the crank back. Our own rule of thumb. */
export const KICKBACK_DEG = 2;

/**
 * Where an impulse coupling snaps: the running spark less the coupling's lag, in degrees of the crank. `kickback`: it
 * snaps so early that the crank is thrown back against the hand that turns it.
 */
export function magnetoLag({ runBtdc, lagDeg, ratio }: z.infer<typeof magnetoLagInput>): {
  lagCrankDeg: number;
  snapBtdc: number;
  kickback: boolean;
} {
  const lagCrankDeg = lagDeg / ratio;
  const snapBtdc = runBtdc - lagCrankDeg;
  return { lagCrankDeg, snapBtdc, kickback: snapBtdc > KICKBACK_DEG + EPS };
}
