import type { z } from 'zod';
import { fail } from '../errors/catalogue.ts';
import type { CalcError } from '../errors/result.ts';
import { ok, type Result } from '../errors/result.ts';
import type { curveAtInput, curveTotalInput, vacuumHoldInput } from './schemas.ts';

export interface Knot {
  rpm: number;
  deg: number;
}

/** `curve-order` unless the xs rise strictly. */
export function rising(xs: readonly number[], what: string, path: string): { ok: false; error: CalcError } | null {
  return xs.every((x, k) => k === 0 || x > xs[k - 1]!) ? null : fail('curve-order', path, { what });
}

/** Straight between points of strictly rising xs, flat outside. Binary search. */
export function interpolate(xs: ArrayLike<number>, ys: ArrayLike<number>, x: number): number {
  const n = xs.length;
  if (x <= xs[0]!) return ys[0]!;
  if (x >= xs[n - 1]!) return ys[n - 1]!;
  let low = 0;
  let high = n - 1;
  while (high - low > 1) {
    const mid = (low + high) >> 1;
    if (xs[mid]! <= x) low = mid;
    else high = mid;
  }
  return ys[low]! + ((ys[high]! - ys[low]!) * (x - xs[low]!)) / (xs[high]! - xs[low]!);
}

/** Advance of a curve at speeds: straight between knots, flat outside. Error `curve-order`. */
export function curveAt({ knots, rpm }: z.infer<typeof curveAtInput>): Result<{ deg: number[] }> {
  const xs = knots.map((k) => k.rpm);
  const wrong = rising(xs, 'Engine speed', 'knots');
  if (wrong) return wrong;
  const ys = knots.map((k) => k.deg);
  return ok({ deg: rpm.map((r) => interpolate(xs, ys, r)) });
}

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

/** Does a vacuum unit hold? Loss a minute against the most allowed. */
export function vacuumHold(i: z.infer<typeof vacuumHoldInput>): { lossKpaPerMin: number; state: 'in' | 'out' } {
  const lossKpaPerMin = ((i.startKpa - i.endKpa) * 60) / i.seconds;
  return { lossKpaPerMin, state: lossKpaPerMin <= i.maxLossKpaPerMin + 1e-9 ? 'in' : 'out' };
}
