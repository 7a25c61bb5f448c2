import type { z } from 'zod';
import { ok, type Result } from '../../errors/result.ts';
import type { curveAtInput } from './schemas.ts';
import { rising, interpolate } from './knots.ts';

/** Advance of a curve at speeds: straight between knots, flat outside. Error `curve-order`. */
export function curveAt({ knots, rpm }: z.infer<typeof curveAtInput>): Result<{ deg: number[] }> {
  const xs = knots.map((k) => k.rpm);
  const wrong = rising(xs, 'Engine speed', 'knots');
  if (wrong) return wrong;
  const ys = knots.map((k) => k.deg);
  return ok({ deg: rpm.map((r) => interpolate(xs, ys, r)) });
}
