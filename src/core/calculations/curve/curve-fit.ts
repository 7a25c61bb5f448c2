import type { z } from 'zod';
import { fail } from '../../errors/catalogue.ts';
import { ok, type Result } from '../../errors/result.ts';
import { breakGrid } from './break-grid.ts';
import { solve } from '../../numerics/solve.ts';
import { stepU } from '../gauge/hand.ts';
import { fitDoubt, weights, type FitDoubt } from './curve-fit-doubt.ts';
import type { Knot } from './knots.ts';
import type { curveFitInput } from './schemas.ts';

export interface CurveFit extends FitDoubt {
  ramps: 1 | 2;
  knots: Knot[];
  startRpm: number;
  fullRpm: number;
  fullDeg: number;
  rmsDeg: number;
}

interface Shape {
  breaks: number[];
  levels: number[];
  rss: number;
}

/** More points than this are searched as the means of neighbours; the shape that is found is then refined on all of them. */
const MANY = 120;
const MEANS = 60;

/** Coarse positions tried for every break before refining. */
const POSITIONS = 22;
const STARTS = 4;
/** Steps in which every start shows how good it is. Near the minimum each step at least halves the distance. */
const FEW = 12;
/** Far more steps than the best of them ever takes. */
const ENOUGH = 80;

/**
 * The plain shape behind a measured curve: flat, one straight ramp or two, flat, without a jump. For given breaks the
 * levels are linear least squares; breaks are tried on a coarse grid and the best few refined together with the levels by
 * damped Gauss-Newton (Levenberg-Marquardt, relative stop rule), a few steps each and the best of them to the end. One or
 * two ramps by BIC = n ln(rss/n + 0.04) + p ln n, p = 4 or 8; two only from eight points. Each figure comes with its
 * standard uncertainty. Error `too-few-readings` under six points.
 */
export function curveFit({ points, maxRamps, strobe, tacho }: z.infer<typeof curveFitInput>): Result<CurveFit> {
  const n = points.length;
  if (n < 6) return fail('too-few-readings', 'points', { have: n, need: 6, what: 'points' });
  const sorted = [...points].sort((a, b) => a.rpm - b.rpm);
  const x = Float64Array.from(sorted, (p) => p.rpm);
  const y = Float64Array.from(sorted, (p) => p.deg);
  const one = best(x, y, 2);
  const two = maxRamps === 2 && n >= 8 ? best(x, y, 3) : null;
  const bic = (s: Shape, p: number) => n * Math.log(s.rss / n + 0.04) + p * Math.log(n);
  // where the hand is known, the second ramp must explain more than its noise as well
  const noise = strobe?.scatter === undefined ? 0 : strobe.scatter ** 2 + stepU(strobe) ** 2;
  const explains = two && one && one.rss - two.rss > noise * 4 * Math.log(n);
  const chosen = two && one && explains && bic(two, 8) < bic(one, 4) ? two : one;
  if (!chosen) return fail('too-few-readings', 'points', { have: 1, need: 2, what: 'different speeds' });
  const knots = chosen.breaks.map((rpm, k) => ({ rpm, deg: chosen.levels[k]! }));
  const last = knots[knots.length - 1]!;
  return ok({
    ramps: knots.length === 2 ? 1 : 2,
    knots,
    startRpm: knots[0]!.rpm,
    fullRpm: last.rpm,
    fullDeg: last.deg,
    rmsDeg: Math.sqrt(chosen.rss / n),
    ...fitDoubt(x, y, chosen, strobe, tacho)
  });
}

function best(x: Float64Array, y: Float64Array, count: 2 | 3): Shape | null {
  const from = x[0]!;
  const to = x[x.length - 1]!;
  if (to <= from) return null;
  const { grid, rssOf } = breakGrid(x, y, POSITIONS);
  const tried: { at: number[]; rss: number }[] = [];
  const consider = (at: number[]) => {
    const rss = rssOf(at);
    if (tried.length === STARTS && rss >= tried[STARTS - 1]!.rss) return;
    tried.push({ at, rss });
    tried.sort((a, b) => a.rss - b.rss);
    if (tried.length > STARTS) tried.pop();
  };
  for (let a = 0; a < POSITIONS; a++)
    for (let b = a + 1; b < POSITIONS; b++)
      if (count === 2) consider([a, b]);
      else for (let c = b + 1; c < POSITIONS; c++) consider([a, b, c]);
  const [sx, sy] = x.length > MANY ? [means(x), means(y)] : [x, y];
  const starts = tried.flatMap(
    ({ at }) =>
      levelsFor(
        sx,
        sy,
        at.map((k) => grid[k]!)
      ) ?? []
  );
  const near = starts.map((s) => refine(sx, sy, s, from, to, FEW)).sort((a, b) => a.rss - b.rss)[0];
  const found = near ? refine(sx, sy, near, from, to, ENOUGH) : null;
  const whole = found && sx !== x ? levelsFor(x, y, found.breaks) : null;
  return whole ? refine(x, y, whole, from, to, ENOUGH) : found;
}

/** Values in ascending order of speed as the means of neighbours, nearly equally many to each. */
function means(v: Float64Array): Float64Array {
  return Float64Array.from({ length: MEANS }, (_, k) => {
    const [from, to] = [Math.round((k * v.length) / MEANS), Math.round(((k + 1) * v.length) / MEANS)];
    return v.subarray(from, to).reduce((t, a) => t + a, 0) / (to - from);
  });
}

function levelsFor(x: Float64Array, y: Float64Array, breaks: number[]): Shape | null {
  const m = breaks.length;
  const a = new Float64Array(m * m);
  const b = new Float64Array(m);
  const w = new Float64Array(m);
  for (let k = 0; k < x.length; k++) {
    weights(breaks, x[k]!, w);
    for (let r = 0; r < m; r++) {
      if (w[r] === 0) continue;
      b[r]! += w[r]! * y[k]!;
      for (let c = 0; c < m; c++) a[r * m + c]! += w[r]! * w[c]!;
    }
  }
  const levels = solve(a, b, m);
  return levels ? { breaks, levels, rss: squares(x, y, breaks, levels) } : null;
}

function squares(x: Float64Array, y: Float64Array, breaks: number[], levels: number[]): number {
  const w = new Float64Array(breaks.length);
  let rss = 0;
  for (let k = 0; k < x.length; k++) {
    weights(breaks, x[k]!, w);
    let f = 0;
    for (let j = 0; j < levels.length; j++) f += w[j]! * levels[j]!;
    rss += (y[k]! - f) ** 2;
  }
  return rss;
}

/** Breaks and levels together; speeds are scaled to the measured range so that both count alike. */
function refine(x: Float64Array, y: Float64Array, start: Shape, from: number, to: number, passes: number): Shape {
  const m = start.breaks.length;
  const size = 2 * m;
  const range = to - from;
  let s = start;
  const at = new Uint8Array(4);
  const row = new Float64Array(4);
  let damping = 1e-3;
  for (let pass = 0; pass < passes; pass++) {
    const a = new Float64Array(size * size);
    const b = new Float64Array(size);
    const w = new Float64Array(m);
    for (let k = 0; k < x.length; k++) {
      const j = weights(s.breaks, x[k]!, w);
      // a point stands on one level, or between two and their breaks: at most four of its terms are not nothing
      let terms = 0;
      let f = 0;
      for (let q = 0; q < m; q++) {
        if (w[q] === 0) continue;
        f += w[q]! * s.levels[q]!;
        at[terms] = m + q;
        row[terms++] = w[q]!;
      }
      if (j >= 0) {
        const slope = (s.levels[j + 1]! - s.levels[j]!) / (s.breaks[j + 1]! - s.breaks[j]!);
        for (const q of [j, j + 1] as const) {
          at[terms] = q;
          row[terms++] = -slope * w[q]! * range;
        }
      }
      const r = y[k]! - f;
      for (let p = 0; p < terms; p++) {
        b[at[p]!]! += row[p]! * r;
        for (let q = 0; q < terms; q++) a[at[p]! * size + at[q]!]! += row[p]! * row[q]!;
      }
    }
    for (let p = 0; p < size; p++) a[p * size + p]! += damping * (a[p * size + p]! + 1e-9);
    const step = solve(a, b, size);
    if (!step) break;
    const breaks = s.breaks.map((v, k) => Math.min(to, Math.max(from, v + step[k]! * range)));
    const ordered = breaks.every((v, k) => k === 0 || v > breaks[k - 1]! + 1e-9 * range);
    const next = ordered ? levelsFor(x, y, breaks) : null;
    if (next && next.rss <= s.rss) {
      const gain = s.rss - next.rss;
      s = next;
      damping = Math.max(1e-12, damping / 5);
      if (gain <= 1e-9 * (s.rss + 1e-12)) break;
    } else {
      damping *= 6;
      if (damping > 1e3) break;
    }
  }
  return s;
}
