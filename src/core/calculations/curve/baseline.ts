import { EPS } from '../../numerics/angles.ts';
import { fail } from '../../errors/catalogue.ts';
import { ok, type Result } from '../../errors/result.ts';
import { fitLine } from '../../numerics/line.ts';
import { interpolate, rising, type Knot } from './knots.ts';

export interface Spring {
  rateNPerMm: number;
  preloadN: number;
  /** standard uncertainties, where they are known */
  uRateNPerMm?: number | undefined;
  uPreloadN?: number | undefined;
}

/** Force of a set of springs at an advance: each pulls its preload and what its stretch adds, never less than nothing. */
export function springForce(springs: readonly Spring[], extensionMmPerDeg: number, deg: number): number {
  let sum = 0;
  for (const s of springs) sum += Math.max(0, s.preloadN + s.rateNPerMm * extensionMmPerDeg * deg);
  return sum;
}

/** A measured curve read the other way: the speed at which each advance is reached. */
export interface Baseline {
  maxDeg: number;
  rpmAt: (deg: number) => number;
  /** the last knot below the maximum: beyond it the last knot only says that the stop had been reached by then */
  lastBelow: Knot;
}

/**
 * Checks a measured curve and inverts its rising part, from its last knot at 0 to its first at the maximum.
 * Errors in this order: `curve-order`, `baseline-needs-zero`, `baseline-not-rising`, `baseline-slack`.
 */
export function readBaseline(
  knots: readonly Knot[],
  from: readonly Spring[],
  extensionMmPerDeg: number
): Result<Baseline> {
  const wrong = rising(
    knots.map((k) => k.rpm),
    'Engine speed',
    'baseline'
  );
  if (wrong) return wrong;
  if (Math.abs(knots[0]!.deg) > EPS) return fail('baseline-needs-zero', 'baseline', {});
  const maxDeg = Math.max(...knots.map((k) => k.deg));
  const start = knots.findLastIndex((k) => Math.abs(k.deg) <= EPS);
  const end = knots.findIndex((k) => k.deg >= maxDeg - EPS);
  const part = knots.slice(start, end + 1);
  const rises = part.length >= 2 && part.every((k, n) => n === 0 || k.deg > part[n - 1]!.deg);
  if (!rises) return fail('baseline-not-rising', 'baseline', {});
  if (springForce(from, extensionMmPerDeg, 0) <= 0) return fail('baseline-slack', 'from', {});
  const degs = part.map((k) => k.deg);
  const rpms = part.map((k) => k.rpm);
  return ok({ maxDeg, rpmAt: (deg) => interpolate(degs, rpms, deg), lastBelow: part[part.length - 2]! });
}

/** The advances at which a curve is drawn: every quarter degree up to the stop, the measured maximum below it, the stop. */
export function gridTo(stopDeg: number, maxDeg: number): number[] {
  const grid: number[] = [];
  for (let k = 0; k * 0.25 < stopDeg - EPS; k++) grid.push(k * 0.25);
  if (maxDeg < stopDeg - EPS && !grid.some((d) => Math.abs(d - maxDeg) <= EPS)) {
    grid.push(maxDeg);
    grid.sort((a, b) => a - b);
  }
  grid.push(stopDeg);
  return grid;
}

/**
 * What the weights ask of the springs, G = T/n², as a function of advance: measured up to d0, the last knot below the
 * maximum, and beyond it a straight line through the upper part. Error `cannot-extrapolate` with too little to go by.
 */
export function extrapolateG(
  b: Baseline,
  from: readonly Spring[],
  extensionMmPerDeg: number
): Result<(deg: number) => number> {
  const d0 = b.lastBelow.deg;
  const at: number[] = [];
  for (let k = 0; k * 0.25 <= d0 + EPS; k++) at.push(k * 0.25);
  if (Math.abs(at[at.length - 1]! - d0) > EPS) at.push(d0);
  const g = (deg: number) => springForce(from, extensionMmPerDeg, deg) / b.rpmAt(deg) ** 2;
  const upper = at.filter((d) => d >= b.maxDeg / 3 - EPS);
  const used = upper.length < 4 ? at : upper;
  if (used.length < 2) return fail('cannot-extrapolate', 'stopDeg', {});
  const { slope } = fitLine(used, used.map(g));
  const g0 = g(d0);
  return ok((deg) => g0 + slope * (deg - d0));
}
