import { fail } from '../../errors/catalogue.ts';
import type { CalcError } from '../../errors/result.ts';

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
