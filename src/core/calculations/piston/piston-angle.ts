import type { z } from 'zod';
import { fail } from '../../errors/catalogue.ts';
import { ok, type Result } from '../../errors/result.ts';
import type { pistonAngleInput } from './schemas.ts';
import { anglesAtDrop, slider } from './slider.ts';

/**
 * The crank angles before and after TDC (both positive, degrees) at which the piston has a given drop (mm), and
 * half their difference, the bias an offset pin puts into the middle of the two.
 * Errors `geometry-impossible`, `drop-out-of-range`.
 * @example pistonAngle({ strokeMm: 82, rodMm: 140, dropMm: 5 }).afterDeg  // 25.2136…
 */
export function pistonAngle(
  i: z.infer<typeof pistonAngleInput>
): Result<{ beforeDeg: number; afterDeg: number; biasDeg: number }> {
  const s = slider(i);
  if (!s.ok) return s;
  const a = anglesAtDrop(s.out, i.dropMm);
  if (!a) return fail('drop-out-of-range', 'dropMm', { dropMm: i.dropMm, maxMm: s.out.maxDropMm });
  return ok({ ...a, biasDeg: (a.afterDeg - a.beforeDeg) / 2 });
}
