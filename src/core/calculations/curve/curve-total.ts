import type { z } from 'zod';
import { ok } from '../../errors/result.ts';
import type { curveTotalInput } from './schemas.ts';
import { rising, interpolate } from './knots.ts';

/** Total timing at speeds and depressions: initial + centrifugal + vacuum, all crank degrees before TDC. Error `curve-order`. */
export function curveTotal(i: z.infer<typeof curveTotalInput>) {
  const xs = i.centrifugal.map((k) => k.rpm);
  const ys = i.centrifugal.map((k) => k.deg);
  const vx = i.vacuum.map((v) => v.kpa);
  const vy = i.vacuum.map((v) => v.deg);
  const wrong = rising(xs, 'Engine speed', 'centrifugal') ?? rising(vx, 'Depression', 'vacuum');
  if (wrong) return wrong;
  const rows = i.at.map(({ rpm, kpa }) => {
    const centrifugal = interpolate(xs, ys, rpm);
    const vacuum = vx.length === 0 ? 0 : interpolate(vx, vy, kpa);
    return { rpm, kpa, initial: i.initialBtdc, centrifugal, vacuum, total: i.initialBtdc + centrifugal + vacuum };
  });
  return ok({ rows });
}
