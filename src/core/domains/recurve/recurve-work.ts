import type { z } from 'zod';
import { curveSwapSprings, type SwappedCurve } from '../../calculations/curve/curve-swap-springs.ts';
import type { curveMatchInput } from '../../calculations/curve/schemas.ts';
import type { Knot } from '../../calculations/curve/knots.ts';
import type { Spring } from '../../calculations/curve/baseline.ts';
import type { Result } from '../../errors/result.ts';
import { bandOf, type Engine } from '../../engine/engine.ts';
import { advanceOf, bandOfPrediction } from './prediction-band.ts';
import { numberOf } from './vocabulary.ts';
import { partsTaken } from '../../job/taken.ts';
import type { Part, StockItem } from '../../tray/part-kinds.ts';
import type { Replayed } from '../../job/replayed.ts';
import type { SweepWork } from '../curves/sweep-work.ts';

export type MatchInput = z.infer<typeof curveMatchInput>;
export interface ModelError {
  rmsDeg: number;
  worstDeg: number;
  n: number;
  /** how many points lie in the band that was claimed; null where none could be */
  within: number | null;
}

export interface TargetPoint {
  rpm: number;
  deg: number;
}

export interface RecurveWork {
  /** springs in the distributor now, as the data sheet has them; null while they are not known */
  from: [Spring, Spring] | null;
  extensionMmPerDeg: number | null;
  stopDeg: number | null;
  target: TargetPoint[];
  targetFrom: 'said' | 'limits' | 'none';
  /** springs and stop taken on this job */
  springs: Part[];
  stop: Part | null;
  initial: { minBtdc: number; maxBtdc: number } | null;
  /** the initial timing that goes with the parts taken: what sets their curve nearest to the target; null before there is one */
  initialBtdc: number | null;
  /** standard uncertainty of a reading of the first sweep, crank degrees */
  uBaselineDeg: number;
  /** how much later the weights come back than they go out, where that is more than chance: the target is met half way */
  stickyDeg: number;
  limits: MatchInput['limits'];
  /** what the springs and stop that were taken will do, less the initial timing */
  predicted: SwappedCurve | null;
  problem: string | null;
  lacks: string[];
}

/** The springs that are in, the curve that is wanted, and what the parts taken on this job will do. */
export function recurveWork(engine: Engine, r: Replayed, baseline: SweepWork | null): RecurveWork {
  const from = springsIn(engine);
  const extensionMmPerDeg = numberOf(engine, 'extensionMmPerDeg') ?? null;
  const springs = partsTaken(r, 'spring');
  const stop = partsTaken(r, 'stop')[0] ?? null;
  const { target, targetFrom } = targetOf(engine, r);
  const min = numberOf(engine, 'startMinBtdc') ?? numberOf(engine, 'staticMinBtdc');
  const max = numberOf(engine, 'startMaxBtdc') ?? numberOf(engine, 'staticMaxBtdc');
  const lacks = [
    ...(baseline?.baseline ? [] : ['the curve as it is, six points going up at least']),
    ...(from ? [] : ['the two springs that are in now']),
    ...(extensionMmPerDeg === null ? ['how far the springs stretch for a degree'] : []),
    ...(min === undefined || max === undefined ? ['from where to where the initial timing may be set'] : []),
    ...(target.length ? [] : ['a target'])
  ];
  const stopDeg = stop?.deg ?? numberOf(engine, 'stopDeg') ?? null;
  const swapped = predict(baseline, { from, extensionMmPerDeg }, springs, stopDeg);
  const idle = numberOf(engine, 'idleRpm');
  const total = numberOf(engine, 'totalMaxBtdc');
  const creep = numberOf(engine, 'creepMaxDeg');
  const predicted = swapped?.ok ? swapped.out : null;
  const initial = min === undefined || max === undefined ? null : { minBtdc: min, maxBtdc: max };
  const stickyDeg = baseline?.compare?.sticky ? (baseline.compare.hysteresisDeg ?? 0) : 0;
  return {
    from,
    extensionMmPerDeg,
    stopDeg,
    target,
    targetFrom,
    springs,
    stop,
    initial,
    initialBtdc:
      predicted && initial && target.length ? initialFor(predicted, halfWay(target, stickyDeg), initial) : null,
    uBaselineDeg: baseline?.uReadDeg ?? 0,
    stickyDeg,
    limits: {
      ...(total === undefined ? {} : { totalMaxBtdc: total }),
      ...(idle === undefined ? {} : { idleRpm: idle }),
      ...(creep === undefined ? {} : { creepMaxDeg: creep })
    },
    predicted,
    problem: swapped && !swapped.ok ? swapped.error.message : null,
    lacks
  };
}

/**
 * Weights that stick go out late and come back late: going up they lie below what springs alone would do by as much as they lie
 * above it coming down. The target is set half the difference lower, so that both ways lie about it.
 */
const halfWay = (target: readonly TargetPoint[], stickyDeg: number): TargetPoint[] =>
  target.map((t) => ({ ...t, deg: t.deg - stickyDeg / 2 }));

/** Steps in which an initial timing is asked for, degrees. */
const INITIAL_STEP_DEG = 0.5;

/** The initial timing that lays a curve nearest to a target: the mean of what is left, in its range and on its steps. */
function initialFor(
  c: SwappedCurve,
  target: readonly TargetPoint[],
  { minBtdc, maxBtdc }: { minBtdc: number; maxBtdc: number }
): number {
  const left = target.map((t) => t.deg - advanceOf(c, t.rpm));
  const held = Math.min(maxBtdc, Math.max(minBtdc, left.reduce((a, b) => a + b, 0) / left.length));
  const most = Math.floor((maxBtdc - minBtdc) / INITIAL_STEP_DEG + 1e-9);
  return minBtdc + Math.min(most, Math.floor((held - minBtdc) / INITIAL_STEP_DEG + 0.5 + 1e-9)) * INITIAL_STEP_DEG;
}

type Rated = Pick<Part, 'rateNPerMm' | 'preloadN'> & Partial<Pick<Part, 'uRate' | 'uPreload'>>;

/** A spring of the tray with what is known of it. */
export const springOf = (p: Rated): Spring => ({
  rateNPerMm: p.rateNPerMm!,
  preloadN: p.preloadN!,
  ...(p.uRate == null ? {} : { uRateNPerMm: p.uRate }),
  ...(p.uPreload == null ? {} : { uPreloadN: p.uPreload })
});

/**
 * Stops that differ from the measured maximum by less than the readings can tell are that stop: a curve run against the
 * stop that is in must not count as carried on beyond itself.
 */
const asMeasured = (stopDeg: number, baseline: readonly Knot[], uDeg: number): number => {
  const maxDeg = Math.max(...baseline.map((k) => k.deg));
  return stopDeg > maxDeg && stopDeg - maxDeg <= 2 * uDeg ? maxDeg : stopDeg;
};

/**
 * Rule of thumb: a jump of the weights over less than this is none. A ramp is fitted straight where the weights' own is a
 * little bent, and a predicted speed may fall over a fraction of a degree for that alone.
 */
const SNAP_OVER_DEG = 2;

/**
 * The fitted shape with a knot at each degree of its ramps. Between them nothing changes; but readings lie all along a
 * ramp, so how the weights go on beyond the stop may be judged from the whole of it and not from its ends alone.
 */
function everyDegree(baseline: readonly Knot[]): Knot[] {
  return baseline.flatMap((k, n) => {
    const next = baseline[n + 1];
    if (!next || next.deg - k.deg <= 1) return [k];
    const pieces = Math.ceil(next.deg - k.deg);
    return Array.from({ length: pieces }, (_, j) => ({
      rpm: k.rpm + ((next.rpm - k.rpm) * j) / pieces,
      deg: k.deg + ((next.deg - k.deg) * j) / pieces
    }));
  });
}

/**
 * What a measured sweep becomes with two springs and a stop: curve.swapSprings with its errors, or null while the sweep,
 * the springs that are in, or one of the parts is not known.
 */
export function predict(
  sweep: Pick<SweepWork, 'baseline' | 'uReadDeg' | 'uBaselineRpm'> | null,
  { from, extensionMmPerDeg }: Pick<RecurveWork, 'from' | 'extensionMmPerDeg'>,
  springs: readonly Rated[],
  stopDeg: number | null | undefined
): Result<SwappedCurve> | null {
  if (!sweep?.baseline || !from || extensionMmPerDeg === null || springs.length !== 2 || !stopDeg) return null;
  return curveSwapSprings({
    baseline: everyDegree(sweep.baseline),
    from,
    to: springs.map(springOf),
    extensionMmPerDeg,
    stopDeg: asMeasured(stopDeg, sweep.baseline, sweep.uReadDeg),
    snapOverDeg: SNAP_OVER_DEG,
    ...(sweep.uBaselineRpm === null ? {} : { uBaselineRpm: sweep.uBaselineRpm })
  });
}

function springsIn(engine: Engine): [Spring, Spring] | null {
  const [a, pa, b, pb] = (['springARate', 'springAPreload', 'springBRate', 'springBPreload'] as const).map((n) =>
    numberOf(engine, n)
  );
  if (a === undefined || pa === undefined || b === undefined || pb === undefined) return null;
  const rate = numberOf(engine, 'springsRatePm');
  const force = numberOf(engine, 'springsForcePm');
  const known = {
    ...(rate === undefined ? {} : { uRateNPerMm: rate / 2 }),
    ...(force === undefined ? {} : { uPreloadN: force / 2 })
  };
  return [
    { rateNPerMm: a, preloadN: pa, ...known },
    { rateNPerMm: b, preloadN: pb, ...known }
  ];
}

/** What was said on the job; else the middle of the data sheet's limits. */
function targetOf(engine: Engine, r: Replayed): Pick<RecurveWork, 'target' | 'targetFrom'> {
  if (r.target) return { target: r.target.points, targetFrom: 'said' };
  const band = bandOf(engine);
  return band
    ? { target: band.map((b) => ({ rpm: b.rpm, deg: (b.minDeg + b.maxDeg) / 2 })), targetFrom: 'limits' }
    : { target: [], targetFrom: 'none' };
}

/**
 * The input of the search over the tray, or null while something is missing. What was taken on this job counts as in the
 * tray: the search is for all that could be in the distributor.
 */
export function matchInput(
  w: RecurveWork,
  baseline: Knot[] | null | undefined,
  stock: readonly StockItem[],
  target: TargetPoint[] = w.target
): MatchInput | null {
  if (!baseline || !w.from || w.extensionMmPerDeg === null || !w.initial || target.length === 0) return null;
  const held = (id: string) => w.springs.filter((s) => s.id === id).length;
  return {
    baseline,
    from: w.from,
    extensionMmPerDeg: w.extensionMmPerDeg,
    target: halfWay(target, w.stickyDeg).map((t) => ({ ...t, weight: 1 })),
    tray: {
      springs: stock
        .filter((s) => s.kind === 'spring')
        .map((s) => ({ id: s.id, ...springOf(s), count: s.count + held(s.id) })),
      stops: stock
        .filter((s) => s.kind === 'stop' && (s.count > 0 || s.id === w.stop?.id))
        .map((s) => ({ id: s.id, deg: asMeasured(s.deg!, baseline, w.uBaselineDeg) }))
    },
    snapOverDeg: SNAP_OVER_DEG,
    initial: { ...w.initial, stepDeg: INITIAL_STEP_DEG },
    limits: w.limits,
    top: 5
  };
}

/**
 * How far the prediction was from what was measured afterwards, in crank degrees: rms over the points going up, the
 * initial timing of the second sweep under the predicted curve. What it earns is how much the model is trusted next time.
 */
export function modelError(c: SwappedCurve, after: SweepWork): ModelError | null {
  const up = after.points.filter((p) => p.deg !== null && p.dir === 'up');
  if (up.length < 3 || after.initialBtdc === null) return null;
  const initial = after.initialBtdc;
  const off = up.map((p) => p.deg! - initial - advanceOf(c, p.rpm));
  const band = bandOfPrediction(c);
  // a reading and the initial timing under it are in doubt themselves
  const own = 2 * Math.hypot(after.uDeg, after.fit?.uInitialDeg ?? after.uDeg) + 1e-9;
  const inside = (p: { deg: number | null; rpm: number }) => {
    const { least, most } = band!(p.rpm);
    return p.deg! - initial >= least - own && p.deg! - initial <= most + own;
  };
  return {
    rmsDeg: Math.sqrt(off.reduce((t, x) => t + x * x, 0) / off.length),
    worstDeg: off.reduce((t, x) => (Math.abs(x) > Math.abs(t) ? x : t), 0),
    n: off.length,
    within: band ? up.filter(inside).length : null
  };
}
