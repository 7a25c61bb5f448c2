import type { z } from 'zod';
import { wrap180, wrap360 } from '../../numerics/angles.ts';
import { fail } from '../../errors/catalogue.ts';
import { ok, type Result } from '../../errors/result.ts';
import { remembered } from '../../numerics/remembered.ts';
import { studentQuantile } from '../../numerics/student.ts';
import { gaugeU } from '../gauge/hand.ts';
import { median } from '../../numerics/statistics.ts';
import type { tdcFitInput } from './schemas.ts';
import { dropMm, dropSlope, slider, type Slider } from '../piston/slider.ts';
import { fitU, leverages, spreadOf, type FitGauges } from './tdc-fit-u.ts';

export interface TdcFit {
  tdcWheelDeg: number;
  errorDeg: number;
  dialAtTdcMm: number;
  uDeg: number;
  rmsMm: number;
  outliers: number[];
}

/** A fit of dial = d0 - sense·drop(wheel - w0): its parameters, residuals and the derivative of the model by w0. */
interface Fit {
  w0: number;
  d0: number;
  rss: number;
  residual: Float64Array;
  jacobian: Float64Array;
}

interface Problem {
  s: Slider;
  sense: number;
  wheel: Float64Array;
  dial: Float64Array;
}

/**
 * True TDC from many dial readings against the degree wheel: least squares for w0 (wheel at TDC) and d0 (dial at
 * TDC) in dial = d0 - sense·drop(wheel - w0), with outliers found by leaving each reading out in turn.
 * A scan over the whole wheel finds every valley of the sum of squares (there are two: the top and the bottom),
 * Gauss-Newton with step halving finishes each; the stop rule is relative.
 * Errors `too-few-readings` (under 3), `one-sided`, `geometry-impossible`.
 */
export function tdcFit(i: z.infer<typeof tdcFitInput>): Result<TdcFit> {
  const g = slider(i);
  if (!g.ok) return g;
  if (i.readings.length < 3)
    return fail('too-few-readings', 'readings', { have: i.readings.length, need: 3, what: 'readings' });
  const all: Problem = {
    s: g.out,
    sense: i.dialSense,
    wheel: Float64Array.from(i.readings, (r) => r.wheelDeg),
    dial: Float64Array.from(i.readings, (r) => r.dialMm)
  };
  let kept = i.readings.map((_, k) => k);
  let fit = globalFit(all);
  while (kept.length >= 6) {
    const worst = worstReading(fit, i);
    if (worst === null) break;
    kept = kept.filter((_, k) => k !== worst);
    fit = globalFit(subset(all, kept));
  }
  if (!bothSides(subset(all, kept), fit.w0)) return fail('one-sided', 'readings', {});
  const isKept = new Set(kept);
  return ok({
    tdcWheelDeg: wrap360(fit.w0),
    errorDeg: wrap180(fit.w0),
    dialAtTdcMm: fit.d0,
    uDeg: uncertainty(fit, subset(all, kept).wheel, i),
    rmsMm: Math.sqrt(fit.rss / kept.length),
    outliers: i.readings.map((_, k) => k).filter((k) => !isKept.has(k))
  });
}

function subset(p: Problem, keep: readonly number[]): Problem {
  return {
    ...p,
    wheel: Float64Array.from(keep, (k) => p.wheel[k]!),
    dial: Float64Array.from(keep, (k) => p.dial[k]!)
  };
}

/** Best d0 and the residuals for a given w0: the model is linear in d0, so it drops out of the search. */
function evaluate(p: Problem, w0: number): Fit {
  const n = p.wheel.length;
  const residual = new Float64Array(n);
  const jacobian = new Float64Array(n);
  let sum = 0;
  for (let k = 0; k < n; k++) {
    const theta = p.wheel[k]! - w0;
    residual[k] = p.dial[k]! + p.sense * dropMm(p.s, theta);
    jacobian[k] = p.sense * dropSlope(p.s, theta);
    sum += residual[k]!;
  }
  const d0 = sum / n;
  let rss = 0;
  for (let k = 0; k < n; k++) {
    residual[k]! -= d0;
    rss += residual[k]! ** 2;
  }
  return { w0, d0, rss, residual, jacobian };
}

/** Gauss-Newton in w0 alone (d0 projected out), halving the step while the sum of squares would rise. */
function refine(p: Problem, start: Fit): Fit {
  let fit = start;
  // quadratic near the minimum: a dozen steps are ample, fifty a bound for hopeless data
  for (let pass = 0; pass < 50; pass++) {
    const { a, b } = centred(fit);
    if (a === 0) break;
    let step = b / a;
    // a long first step from a coarse scan could leave the valley it was meant to explore
    step = Math.max(-15, Math.min(15, step));
    let next = evaluate(p, fit.w0 + step);
    for (let half = 0; half < 30 && next.rss > fit.rss; half++) {
      step /= 2;
      next = evaluate(p, fit.w0 + step);
    }
    const better = next.rss <= fit.rss;
    if (better) fit = next;
    if (!better || Math.abs(step) < 1e-12 * Math.max(1, Math.abs(fit.w0))) break;
  }
  return fit;
}

/** Normal equation of w0 with the mean of the jacobian taken out: a·step = b. */
function centred(f: Fit): { a: number; b: number; mean: number } {
  const { a, mean } = spreadOf(f.jacobian);
  let b = 0;
  for (let k = 0; k < f.jacobian.length; k++) b += (f.jacobian[k]! - mean) * f.residual[k]!;
  return { a, b, mean };
}

function globalFit(p: Problem): Fit {
  const scan = Float64Array.from({ length: SCAN }, (_, k) => sumOfSquares(p, (k * 360) / SCAN));
  let best: Fit | null = null;
  for (let k = 0; k < SCAN; k++) {
    if (scan[k]! > scan[(k + 1) % SCAN]! || scan[k]! > scan[(k + SCAN - 1) % SCAN]!) continue;
    const fit = refine(p, evaluate(p, (k * 360) / SCAN));
    if (!best || fit.rss < best.rss) best = fit;
  }
  return best!;
}
/** The valleys of the sum of squares are as wide as those of the piston's own motion: 15° apart misses none. */
const SCAN = 24;

/** The sum of squares at w0 with the best d0, without the slopes: what the scan needs. */
function sumOfSquares(p: Problem, w0: number): number {
  const n = p.wheel.length;
  let sum = 0;
  let squares = 0;
  // about the first value, so that the two sums do not cancel
  const shift = p.dial[0]!;
  for (let k = 0; k < n; k++) {
    const y = p.dial[k]! - shift + p.sense * dropMm(p.s, p.wheel[k]! - w0);
    sum += y;
    squares += y * y;
  }
  return squares - (sum * sum) / n;
}

/**
 * Index of the reading that stands out most, if by more than chance allows; null if none does. A reading left out is judged
 * by the scatter of the others both as if it lay on the dial and as if it lay on the wheel, whichever excuses it more, and
 * never by less than the gauges themselves; the limit is four, or what the largest of so few reaches once in a hundred.
 * Leaving one out moves the fit by its leverage (linear regression, exact in the limit). Where there are many, the foremost
 * by the common scatter are judged in full.
 */
function worstReading(f: Fit, gauges: FitGauges): number | null {
  const n = f.residual.length;
  const { a, mean: middle } = centred(f);
  if (a <= 0) return null;
  const lever = leverages(f.jacobian);
  const own = (k: number) => Math.max(Math.hypot(gaugeU(gauges.dial), f.jacobian[k]! * gaugeU(gauges.wheel)), 1e-12);
  const few = 1.4826 * Math.sqrt((n - 1) / (n - 3));
  const limit = Math.max(4, outlierLimit(n));
  let candidates = Array.from({ length: n }, (_, k) => k);
  if (n > FEW) {
    const common = 1.4826 * median(Array.from(f.residual, Math.abs));
    const rough = candidates.map((k) => Math.abs(f.residual[k]!) / Math.sqrt(1 - lever[k]!) / Math.max(common, own(k)));
    candidates = candidates.sort((p, q) => rough[q]! - rough[p]!).slice(0, 3);
    if (rough[candidates[0]!]! < limit / 2) return null;
  }
  let worst: number | null = null;
  let most = limit;
  for (const k of candidates) {
    const out = f.residual[k]! / (1 - lever[k]!);
    const byDial: number[] = [];
    const byWheel: number[] = [];
    for (let i = 0; i < n; i++) {
      if (i === k) continue;
      const share = 1 / n + ((f.jacobian[i]! - middle) * (f.jacobian[k]! - middle)) / a;
      const r = Math.abs(f.residual[i]! + share * out);
      byDial.push(r);
      byWheel.push(r / Math.max(Math.abs(f.jacobian[i]!), 1e-3));
    }
    const ordinary = Math.max(few * median(byDial), few * median(byWheel) * Math.abs(f.jacobian[k]!), own(k));
    const ratio = (Math.abs(out) * Math.sqrt(1 - lever[k]!)) / ordinary;
    if (ratio > most) {
      most = ratio;
      worst = k;
    }
  }
  return worst;
}
const FEW = 24;
/** Student's quantile for the largest of n, at one in a hundred. */
const outlierLimit = remembered((n: number) => studentQuantile(0.01 / n, n - 3), 400);

function bothSides(p: Problem, w0: number): boolean {
  let before = false;
  let after = false;
  for (const w of p.wheel) {
    const side = wrap180(w - w0);
    if (side < 0) before = true;
    if (side > 0) after = true;
  }
  return before && after;
}

/** Standard uncertainty of w0 in degrees, by the residuals that the readings have. */
function uncertainty(f: Fit, wheelDeg: Float64Array, gauges: FitGauges): number {
  const lever = leverages(f.jacobian);
  const off = f.residual.map((r, k) => r / (1 - lever[k]!));
  const sides = wheelDeg.map((w) => Math.sign(wrap180(w - f.w0)));
  return fitU({ slopes: f.jacobian, sides, off }, gauges);
}
