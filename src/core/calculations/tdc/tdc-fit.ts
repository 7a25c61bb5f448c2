import type { z } from 'zod';
import { wrap180, wrap360 } from '../../numerics/angles.ts';
import { fail } from '../../errors/catalogue.ts';
import { ok, type Result } from '../../errors/result.ts';
import { gaugeU } from '../gauge/gauge-combine.ts';
import { median } from '../../numerics/statistics.ts';
import type { tdcFitInput } from './schemas.ts';
import { dropMm, dropSlope, slider, type Slider } from '../piston/slider.ts';

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
 * Gauss-Newton with step halving finishes each; the stop rule is relative. u from σ²(JᵀJ)⁻¹, where σ² is never
 * below what the gauges themselves contribute.
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
  const uWheel = gaugeU(i.wheel);
  const uDial = gaugeU(i.dial);
  let kept = i.readings.map((_, k) => k);
  let fit = globalFit(all);
  while (kept.length >= 5) {
    const worst = worstReading(subset(all, kept), fit, uWheel, uDial);
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
    uDeg: uncertainty(fit, uWheel, uDial),
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
function centred(f: Fit): { a: number; b: number } {
  const n = f.jacobian.length;
  let mean = 0;
  for (let k = 0; k < n; k++) mean += f.jacobian[k]!;
  mean /= n;
  let a = 0;
  let b = 0;
  for (let k = 0; k < n; k++) {
    const j = f.jacobian[k]! - mean;
    a += j * j;
    b += j * f.residual[k]!;
  }
  return { a, b };
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
 * Index of the reading whose residual against the fit of the others stands out most, if by more than 4 times their
 * scatter; null if none does. For few readings each fit is made in full. For many, leaving one out moves the fit so
 * little that its residual is r/(1 - leverage) (linear regression, exact in the limit): that ranks them, and only the
 * foremost are fitted in full.
 */
function worstReading(p: Problem, common: Fit, uWheel: number, uDial: number): number | null {
  const n = p.wheel.length;
  const all = Array.from({ length: n }, (_, k) => k);
  let candidates = all;
  if (n > FEW) {
    const rough = roughRatios(common, uWheel, uDial);
    candidates = [...all].sort((a, b) => rough[b]! - rough[a]!).slice(0, 3);
    if (rough[candidates[0]!]! < 2) return null;
  }
  let worst: number | null = null;
  let most = 4;
  for (const k of candidates) {
    const others = subset(p, [...all.slice(0, k), ...all.slice(k + 1)]);
    const fit = n > FEW ? refine(others, evaluate(others, common.w0)) : globalFit(others);
    const theta = p.wheel[k]! - fit.w0;
    const r = p.dial[k]! + p.sense * dropMm(p.s, theta) - fit.d0;
    const ratio = Math.abs(r) / scale(fit.residual, dropSlope(p.s, theta), uWheel, uDial);
    if (ratio > most) {
      most = ratio;
      worst = k;
    }
  }
  return worst;
}
const FEW = 24;

function roughRatios(f: Fit, uWheel: number, uDial: number): Float64Array {
  const n = f.residual.length;
  const { a } = centred(f);
  let mean = 0;
  for (let k = 0; k < n; k++) mean += f.jacobian[k]! / n;
  const scatter = 1.4826 * median(Array.from(f.residual, Math.abs));
  return Float64Array.from(f.residual, (r, k) => {
    const leverage = 1 / n + (a > 0 ? (f.jacobian[k]! - mean) ** 2 / a : 0);
    return (
      Math.abs(r) /
      (1 - Math.min(0.999, leverage)) /
      Math.max(scatter, Math.hypot(uDial, f.jacobian[k]! * uWheel), 1e-12)
    );
  });
}

/** What counts as ordinary for one reading: the scatter of the others, or what the gauges allow if that is more. */
function scale(others: Float64Array, slope: number, uWheel: number, uDial: number): number {
  const scatter = 1.4826 * median(Array.from(others, Math.abs));
  // exact data read with perfect gauges would divide 0 by 0
  return Math.max(scatter, Math.hypot(uDial, slope * uWheel), 1e-12);
}

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

function uncertainty(f: Fit, uWheel: number, uDial: number): number {
  const n = f.residual.length;
  let gauges = 0;
  for (let k = 0; k < n; k++) gauges += uDial ** 2 + (f.jacobian[k]! * uWheel) ** 2;
  const sigma2 = Math.max(f.rss / (n - 2), gauges / n);
  const { a } = centred(f);
  return Math.sqrt(sigma2 / a);
}
