import type { z } from 'zod';
import { ok, type Result } from '../../errors/result.ts';
import type { pistonAtInput } from './schemas.ts';
import { dropMm, dropSlope, slider } from './slider.ts';

/**
 * Where the piston is: drop below TDC (mm) and its slope (mm per degree, negative before TDC), exact slider-crank.
 * Error `geometry-impossible` unless rod > stroke/2 + |offset|.
 * @example pistonAt({ strokeMm: 82, rodMm: 140, crankDeg: -12 })  // drop 1.1557…, slope -0.1914…
 */
export function pistonAt(i: z.infer<typeof pistonAtInput>): Result<{ dropMm: number; slopeMmPerDeg: number }> {
  const s = slider(i);
  if (!s.ok) return s;
  return ok({ dropMm: dropMm(s.out, i.crankDeg), slopeMmPerDeg: dropSlope(s.out, i.crankDeg) });
}
