import type { z } from 'zod';
import { roundAway } from '../../numerics/rounding.ts';
import type { magnetoCouplingInput } from './schemas.ts';

/** By how many teeth a drive is moved that stands off its place, and what is left over: degrees of the magneto. */
export function magnetoCoupling({ teeth, offDeg }: z.infer<typeof magnetoCouplingInput>): {
  pitchDeg: number;
  moveTeeth: number;
  leftDeg: number;
} {
  const pitchDeg = 360 / teeth;
  const moveTeeth = -roundAway(offDeg / pitchDeg) || 0;
  return { pitchDeg, moveTeeth, leftDeg: offDeg + moveTeeth * pitchDeg };
}
