import { solve } from '../../numerics/solve.ts';
import { stretch } from '../../numerics/student.ts';
import { fixedU, gaugeU, stepU, USUAL_DOF, type Gauge } from '../gauge/hand.ts';

/** Standard uncertainties of what a fitted curve says; null where the readings do not settle it. */
export interface FitDoubt {
  uInitialDeg: number | null;
  uTotalDeg: number | null;
  uStartRpm: number | null;
  uFullRpm: number | null;
  /** of the slope from the first break to the last, in degrees a thousand rpm */
  uSlope: number | null;
}

/** A break is less sure than its covariance says, on the side where few points lie: our own assumption, from simulated sweeps. */
const LOPSIDED = 1.1;
/** So is the slope between the breaks, less so: their errors pull it both ways. From simulated sweeps as well. */
const BENT = 1.05;

const NONE: FitDoubt = { uInitialDeg: null, uTotalDeg: null, uStartRpm: null, uFullRpm: null, uSlope: null };

/** Weight of each level in the curve at x: a hat between its neighbours, one beyond the ends. */
export function weights(breaks: readonly number[], x: number, out: Float64Array): number {
  out.fill(0);
  const last = breaks.length - 1;
  if (x <= breaks[0]!) return (void (out[0] = 1), -1);
  if (x >= breaks[last]!) return (void (out[last] = 1), -1);
  let j = 0;
  while (x > breaks[j + 1]!) j++;
  const t = (x - breaks[j]!) / (breaks[j + 1]! - breaks[j]!);
  out[j] = 1 - t;
  out[j + 1] = t;
  return j;
}

/**
 * The covariance of breaks and levels from the residuals, pooled with the learnt scatter of the strobe where there is one,
 * stretched for few degrees of freedom and never below the strobe's step; the fixed error of the strobe lies on the levels, that of the tachometer on the speeds.
 * Source: Guide to the expression of uncertainty in measurement (2008), H.3, for a model with breaks.
 * @param x speeds in ascending order, rpm
 * @param y degrees, as many
 */
export function fitDoubt(
  x: Float64Array,
  y: Float64Array,
  { breaks, levels }: { breaks: readonly number[]; levels: readonly number[] },
  strobe: Gauge = { resolution: 0, accuracy: 0 },
  tacho: Gauge = { resolution: 0, accuracy: 0 }
): FitDoubt {
  const m = breaks.length;
  const size = 2 * m;
  const dof = x.length - size;
  if (dof < 1) return NONE;
  const { normal, rss } = normalEquations(x, y, breaks, levels);
  const covariance = inverse(normal, size);
  if (!covariance || covariance.some((row, k) => !(row[k]! > 0))) return NONE;
  const s = Math.max(scatterOf(rss, dof, strobe), stepU(strobe));
  const of = (k: number) => s * Math.sqrt(covariance[k]![k]!);
  const run = (breaks[m - 1]! - breaks[0]!) / 1000;
  const slope = (levels[m - 1]! - levels[0]!) / run;
  const by = new Float64Array(size);
  by[0] = slope / run;
  by[m - 1] = -slope / run;
  by[m] = -1 / run;
  by[size - 1] = 1 / run;
  let squares = 0;
  for (let p = 0; p < size; p++) for (let q = 0; q < size; q++) squares += by[p]! * covariance[p]![q]! * by[q]!;
  return {
    uInitialDeg: Math.hypot(of(m), fixedU(strobe)),
    uTotalDeg: Math.hypot(of(size - 1), fixedU(strobe)),
    uStartRpm: Math.hypot(1000 * LOPSIDED * of(0), gaugeU(tacho)),
    uFullRpm: Math.hypot(1000 * LOPSIDED * of(m - 1), gaugeU(tacho)),
    uSlope: BENT * s * Math.sqrt(Math.max(0, squares))
  };
}

/** Scatter of one point, stretched for few degrees of freedom: the residuals' pooled with what was learnt of the hand. */
function scatterOf(rss: number, dof: number, strobe: Gauge): number {
  if (strobe.scatter === undefined) return Math.sqrt(rss / dof) * stretch(dof);
  const known = strobe.scatterDof ?? USUAL_DOF;
  // a point scatters by the hand and by the step it is read to
  const point = strobe.scatter ** 2 + stepU(strobe) ** 2;
  return Math.sqrt((known * point + rss) / (known + dof)) * stretch(known + dof);
}

/** JᵀJ of breaks, in thousands of rpm, and levels, in degrees; and the sum of squared residuals. */
function normalEquations(x: Float64Array, y: Float64Array, breaks: readonly number[], levels: readonly number[]) {
  const m = breaks.length;
  const size = 2 * m;
  const normal = new Float64Array(size * size);
  const w = new Float64Array(m);
  const row = new Float64Array(size);
  let rss = 0;
  for (let k = 0; k < x.length; k++) {
    const j = weights(breaks, x[k]!, w);
    row.fill(0);
    let f = 0;
    for (let q = 0; q < m; q++) {
      row[m + q] = w[q]!;
      f += w[q]! * levels[q]!;
    }
    if (j >= 0) {
      const slope = (1000 * (levels[j + 1]! - levels[j]!)) / (breaks[j + 1]! - breaks[j]!);
      row[j] = -slope * w[j]!;
      row[j + 1] = -slope * w[j + 1]!;
    }
    rss += (y[k]! - f) ** 2;
    for (let p = 0; p < size; p++) for (let q = 0; q < size; q++) normal[p * size + q]! += row[p]! * row[q]!;
  }
  return { normal, rss };
}

/** Inverse of a square matrix, row by row; null when it has none. */
function inverse(matrix: Float64Array, size: number): number[][] | null {
  const columns: number[][] = [];
  for (let k = 0; k < size; k++) {
    const unit = new Float64Array(size);
    unit[k] = 1;
    const column = solve(Float64Array.from(matrix), unit, size);
    if (!column) return null;
    columns.push(column);
  }
  // symmetric: its columns are its rows
  return columns;
}
