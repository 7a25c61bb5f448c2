import type { z } from 'zod';
import { EPS } from '../angles.ts';
import { ok, type Result } from '../errors/result.ts';
import { readBaseline, springForce, type Spring } from './baseline.ts';
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

/** The curve of one pair of springs on the quarter-degree grid, as columns: rpm is the running maximum. */
interface PairCurve {
  rpm: Float64Array;
  /** grid index from which the weights have snapped out; Infinity when they do not */
  unstableFrom: number;
}

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
  const stops = i.tray.stops.filter((s) => s.deg <= maxDeg + EPS);
  const springs = i.tray.springs.filter((s) => s.count > 0);
  const grid = Array.from(
    { length: Math.floor(Math.max(0, ...stops.map((s) => s.deg)) / 0.25 + EPS) + 1 },
    (_, k) => k * 0.25
  );
  const base = grid.map((d) => rpmAt(Math.min(d, maxDeg)) / Math.sqrt(springForce(i.from, i.extensionMmPerDeg, d)));
  const stopBase = stops.map(
    (s) => rpmAt(Math.min(s.deg, maxDeg)) / Math.sqrt(springForce(i.from, i.extensionMmPerDeg, s.deg))
  );
  const ranked: Match[] = [];
  let evaluated = 0;
  for (let a = 0; a < springs.length; a++) {
    for (let b = a; b < springs.length; b++) {
      if (a === b && springs[a]!.count < 2) continue;
      const pair = [springs[a]!, springs[b]!] as const;
      const curve = pairCurve(pair, grid, base, i.extensionMmPerDeg);
      const ids = [pair[0].id, pair[1].id].sort((x, y) => (x < y ? -1 : x > y ? 1 : 0)) as [string, string];
      for (let s = 0; s < stops.length; s++) {
        evaluated++;
        const stop = stops[s]!;
        const atStop = stopBase[s]! * Math.sqrt(springForce(pair, i.extensionMmPerDeg, stop.deg));
        keep(ranked, judge(i, curve, ids, stop, atStop), i.top);
      }
    }
    if (!progress((a + 1) / springs.length)) break;
  }
  return ok({ evaluated, ranked });
}

function pairCurve(pair: readonly Spring[], grid: number[], base: number[], extension: number): PairCurve {
  const rpm = new Float64Array(grid.length);
  let highest = -Infinity;
  let unstableFrom = Infinity;
  for (let k = 0; k < grid.length; k++) {
    const n = base[k]! * Math.sqrt(springForce(pair, extension, grid[k]!));
    if (n < highest - EPS && unstableFrom === Infinity) unstableFrom = k;
    if (n > highest) highest = n;
    rpm[k] = highest;
  }
  return { rpm, unstableFrom };
}

function judge(
  i: Input,
  curve: PairCurve,
  springs: [string, string],
  stop: { id: string; deg: number },
  atStop: number
): Match {
  // the last grid point strictly below the stop; the stop itself closes the curve
  const last = Math.ceil(stop.deg / 0.25 - EPS) - 1;
  const highest = curve.rpm[last]!;
  const fullRpm = Math.max(highest, atStop);
  const advance = (rpm: number) => advanceAt(curve.rpm, last, stop.deg, fullRpm, rpm);
  let weights = 0;
  let sum = 0;
  for (const t of i.target) {
    weights += t.weight;
    sum += t.weight * (t.deg - advance(t.rpm));
  }
  const initialBtdc = stepped(sum / weights, i.initial);
  let squares = 0;
  for (const t of i.target) squares += t.weight * (advance(t.rpm) + initialBtdc - t.deg) ** 2;
  const violations: Violation[] = [];
  const { totalMaxBtdc, idleRpm, creepMaxDeg } = i.limits;
  if (totalMaxBtdc !== undefined && initialBtdc + stop.deg > totalMaxBtdc + EPS) violations.push('total');
  if (idleRpm !== undefined && creepMaxDeg !== undefined && advance(idleRpm) > creepMaxDeg + EPS)
    violations.push('creep');
  if (curve.unstableFrom <= last || atStop < highest - EPS) violations.push('unstable');
  return {
    springs,
    stop: stop.id,
    initialBtdc,
    misfitDeg: Math.sqrt(squares / weights),
    violations,
    startRpm: curve.rpm[0]!,
    fullRpm
  };
}

/** Advance at a speed: 0 below the start, straight between points, the higher where the weights snap out. */
function advanceAt(rpm: Float64Array, last: number, stopDeg: number, fullRpm: number, at: number): number {
  if (at >= fullRpm) return stopDeg;
  if (at < rpm[0]!) return 0;
  // the last point whose speed is not above: among equal speeds the highest advance
  let low = 0;
  let high = last + 1;
  while (high - low > 1) {
    const mid = (low + high) >> 1;
    if (rpm[mid]! <= at) low = mid;
    else high = mid;
  }
  const next = low === last ? fullRpm : rpm[low + 1]!;
  const nextDeg = low === last ? stopDeg : (low + 1) * 0.25;
  return low * 0.25 + ((nextDeg - low * 0.25) * (at - rpm[low]!)) / (next - rpm[low]!);
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
