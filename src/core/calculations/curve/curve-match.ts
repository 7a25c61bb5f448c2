import type { z } from 'zod';
import { EPS } from '../../numerics/angles.ts';
import { ok, type Result } from '../../errors/result.ts';
import { readBaseline, springForce } from './baseline.ts';
import type { curveMatchInput } from './schemas.ts';

export type Violation = 'total' | 'creep' | 'unstable';
export interface Match {
  springs: [string, string];
  stop: string;
  initialBtdc: number;
  misfitDeg: number;
  violations: Violation[];
  startRpm: number;
  fullRpm: number;
}
export interface MatchResult {
  evaluated: number;
  ranked: Match[];
}
type Input = z.infer<typeof curveMatchInput>;

/** Everything that is the same for all pairs, as columns. */
interface Question {
  /** advances of the grid, a quarter of a degree apart */
  grid: Float64Array;
  /** what the weights ask at each: speed² goes with the springs' force, base = speed / √force as measured */
  base: Float64Array;
  stops: { id: string; deg: number; base: number; last: number }[];
  rpm: Float64Array;
  deg: Float64Array;
  weight: Float64Array;
  weights: number;
  /** room for the advance at each speed, target points and idle, while one candidate is judged */
  at: Float64Array;
  limits: Input['limits'];
  initial: Input['initial'];
  /** a jump over no more than this is none, degrees */
  snapOver: number;
}

/** The curve of one pair of springs on the grid; rpm is the running maximum. */
interface PairCurve {
  rpm: Float64Array;
  /** grid index from which the weights have snapped out; Infinity when they do not */
  unstableFrom: number;
  /** for each grid point, the last one up to it at which the speed did not fall */
  peak: Int32Array;
  /** for each target point, and for idle at the end, the last grid point whose speed is not above it; -1 below the start */
  below: Int32Array;
  /** and the advance there, where the curve is not cut off before */
  advance: Float64Array;
}

const STEP = 0.25;

/**
 * Every pair of springs of the tray with every stop, ranked by how well total timing without vacuum meets the target.
 * Each pair's curve is worked out once on a grid and cut off at each stop; the initial timing is the weighted mean of
 * what is left, kept in its range and on its steps. Order: fewer violations, misfit (to 1e-9), springs, stop.
 * `progress` is told the share done and may answer false to stop; then what was ranked so far is answered.
 * Errors: those of curve.swapSprings for the baseline.
 */
export function curveMatch(i: Input, progress: (share: number) => boolean = () => true): Result<MatchResult> {
  const read = readBaseline(i.baseline, i.from, i.extensionMmPerDeg);
  if (!read.ok) return read;
  const { maxDeg, rpmAt } = read.out;
  const q = question(i, maxDeg, rpmAt);
  const springs = i.tray.springs.filter((s) => s.count > 0);
  const forces = springs.map((s) => q.grid.map((d) => springForce([s], i.extensionMmPerDeg, d)));
  const curve: PairCurve = {
    rpm: new Float64Array(q.grid.length),
    unstableFrom: Infinity,
    peak: new Int32Array(q.grid.length),
    below: new Int32Array(q.rpm.length),
    advance: new Float64Array(q.rpm.length)
  };
  const ranked: Match[] = [];
  let evaluated = 0;
  for (let a = 0; a < springs.length; a++) {
    for (let b = a; b < springs.length; b++) {
      if (a === b && springs[a]!.count < 2) continue;
      const pair = [springs[a]!, springs[b]!] as const;
      readPair(q, forces[a]!, forces[b]!, curve);
      const ids = [pair[0].id, pair[1].id].sort((x, y) => (x < y ? -1 : x > y ? 1 : 0)) as [string, string];
      for (const stop of q.stops) {
        evaluated++;
        const atStop = stop.base * Math.sqrt(springForce(pair, i.extensionMmPerDeg, stop.deg));
        const m = judge(q, curve, ids, stop, atStop, ranked[i.top - 1]);
        if (m) keep(ranked, m, i.top);
      }
    }
    if (!progress((a + 1) / springs.length)) break;
  }
  return ok({ evaluated, ranked });
}

function question(i: Input, maxDeg: number, rpmAt: (deg: number) => number): Question {
  const baseAt = (d: number) => rpmAt(Math.min(d, maxDeg)) / Math.sqrt(springForce(i.from, i.extensionMmPerDeg, d));
  const stops = i.tray.stops
    .filter((s) => s.deg <= maxDeg + EPS)
    // the last grid point strictly below the stop; the stop itself closes the curve
    .map((s) => ({ ...s, base: baseAt(s.deg), last: Math.ceil(s.deg / STEP - EPS) - 1 }));
  const points = Math.floor(Math.max(0, ...stops.map((s) => s.deg)) / STEP + EPS) + 1;
  const grid = Float64Array.from({ length: points }, (_, k) => k * STEP);
  return {
    grid,
    base: grid.map(baseAt),
    stops,
    rpm: Float64Array.from([...i.target.map((t) => t.rpm), i.limits.idleRpm ?? 0]),
    deg: Float64Array.from(i.target, (t) => t.deg),
    weight: Float64Array.from(i.target, (t) => t.weight),
    weights: i.target.reduce((sum, t) => sum + t.weight, 0),
    at: new Float64Array(i.target.length + 1),
    limits: i.limits,
    initial: i.initial,
    snapOver: i.snapOverDeg ?? 0
  };
}

/** Works out a pair's curve and reads it once at every speed that is asked for, whatever stop will cut it off. */
function readPair(q: Question, one: Float64Array, two: Float64Array, into: PairCurve): void {
  const { rpm, below, advance } = into;
  let highest = -Infinity;
  let top = 0;
  into.unstableFrom = Infinity;
  for (let k = 0; k < rpm.length; k++) {
    const n = q.base[k]! * Math.sqrt(one[k]! + two[k]!);
    if (n >= highest - EPS) top = k;
    else if ((k - top) * STEP > q.snapOver + EPS && into.unstableFrom === Infinity) into.unstableFrom = k;
    into.peak[k] = top;
    if (n > highest) highest = n;
    rpm[k] = highest;
  }
  for (let t = 0; t < below.length; t++) {
    const at = q.rpm[t]!;
    // the last point whose speed is not above: among equal speeds the highest advance
    let low = -1;
    let high = rpm.length;
    while (high - low > 1) {
      const mid = (low + high) >> 1;
      if (rpm[mid]! <= at) low = mid;
      else high = mid;
    }
    below[t] = low;
    advance[t] =
      low < 0
        ? 0
        : low + 1 < rpm.length
          ? low * STEP + (STEP * (at - rpm[low]!)) / (rpm[low + 1]! - rpm[low]!)
          : low * STEP;
  }
}

/** A pair's curve cut off at a stop, against the target; null when it cannot come before the worst that is kept. */
function judge(
  q: Question,
  curve: PairCurve,
  springs: [string, string],
  stop: Question['stops'][number],
  atStop: number,
  worst: Match | undefined
): Match | null {
  const { last, deg: stopDeg } = stop;
  const lastDeg = last * STEP;
  const lastRpm = curve.rpm[last]!;
  const fullRpm = Math.max(lastRpm, atStop);
  const slope = (stopDeg - lastDeg) / (fullRpm - lastRpm);
  const { rpm, deg, weight, at } = q;
  const { below, advance } = curve;
  const n = deg.length;
  let sum = 0;
  // plain loops over columns: run by the ten thousand while a target is dragged
  for (let t = 0; t <= n; t++) {
    const r = rpm[t]!;
    const d = r >= fullRpm ? stopDeg : below[t]! < last ? advance[t]! : lastDeg + slope * (r - lastRpm);
    at[t] = d;
    if (t < n) sum += weight[t]! * (deg[t]! - d);
  }
  const initialBtdc = stepped(sum / q.weights, q.initial);
  const { totalMaxBtdc, idleRpm, creepMaxDeg } = q.limits;
  const total = totalMaxBtdc !== undefined && initialBtdc + stopDeg > totalMaxBtdc + EPS;
  const creep = idleRpm !== undefined && creepMaxDeg !== undefined && at[n]! > creepMaxDeg + EPS;
  const fallsAtStop = atStop < lastRpm - EPS && stopDeg - curve.peak[last]! * STEP > q.snapOver + EPS;
  const unstable = curve.unstableFrom <= last || fallsAtStop;
  const count = Number(total) + Number(creep) + Number(unstable);
  if (worst && count > worst.violations.length) return null;
  let squares = 0;
  for (let t = 0; t < n; t++) {
    const off = at[t]! + initialBtdc - deg[t]!;
    squares += weight[t]! * off * off;
  }
  const misfitDeg = Math.sqrt(squares / q.weights);
  if (worst && count === worst.violations.length && misfitDeg > worst.misfitDeg + EPS) return null;
  const violations: Violation[] = [];
  if (total) violations.push('total');
  if (creep) violations.push('creep');
  if (unstable) violations.push('unstable');
  return { springs, stop: stop.id, initialBtdc, misfitDeg, violations, startRpm: curve.rpm[0]!, fullRpm };
}

/** Into the range, then to a whole number of steps from its least (half up), never above its most. */
function stepped(wanted: number, r: Input['initial']): number {
  const held = Math.min(r.maxBtdc, Math.max(r.minBtdc, wanted));
  const most = Math.floor((r.maxBtdc - r.minBtdc) / r.stepDeg + EPS);
  return r.minBtdc + Math.min(most, Math.floor((held - r.minBtdc) / r.stepDeg + 0.5 + EPS)) * r.stepDeg;
}

function keep(ranked: Match[], m: Match, top: number): void {
  const worst = ranked[top - 1];
  if (worst && !before(m, worst)) return;
  const at = ranked.findIndex((r) => before(m, r));
  ranked.splice(at < 0 ? ranked.length : at, 0, m);
  if (ranked.length > top) ranked.pop();
}

function before(a: Match, b: Match): boolean {
  if (a.violations.length !== b.violations.length) return a.violations.length < b.violations.length;
  if (Math.abs(a.misfitDeg - b.misfitDeg) > EPS) return a.misfitDeg < b.misfitDeg;
  for (const k of [0, 1] as const) if (a.springs[k] !== b.springs[k]) return a.springs[k] < b.springs[k];
  return a.stop < b.stop;
}
