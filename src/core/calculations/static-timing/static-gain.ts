import type { z } from 'zod';
import { EPS } from '../../numerics/angles.ts';
import { fail } from '../../errors/catalogue.ts';
import { ok, type Result } from '../../errors/result.ts';
import { distinct, fitLine } from '../../numerics/line.ts';
import type { staticGainInput } from './schemas.ts';

/**
 * What a millimetre at the rim really does to the timing, learnt from two settings or more, and the rim position for
 * the target. Errors `too-few-readings` under two different positions, `no-slope` for a level line.
 */
export function staticGain(i: z.infer<typeof staticGainInput>): Result<{ degPerMm: number; rimMm: number }> {
  const xs = i.moves.map((m) => m.rimMm);
  if (distinct(xs) < 2)
    return fail('too-few-readings', 'moves', { have: distinct(xs), need: 2, what: 'different rim positions' });
  const line = fitLine(
    xs,
    i.moves.map((m) => m.btdc)
  );
  if (Math.abs(line.slope) <= EPS) return fail('no-slope', 'moves', {});
  return ok({ degPerMm: line.slope, rimMm: (i.targetBtdc - line.intercept) / line.slope });
}
