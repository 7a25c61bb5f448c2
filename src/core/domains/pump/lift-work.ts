import { pumpZero } from '../../calculations/pump/pump-zero.ts';
import type { FromChart } from '../../calculations/pump/pump-chart.ts';
import { verdictOrNone, type Verdict } from '../../calculations/verdict/verdict.ts';
import type { CalcError } from '../../errors/catalogue.ts';
import type { Engine } from '../../engine/engine.ts';
import type { Part } from '../../job/narrow.ts';
import { byLastGauge, gaugeOf } from '../../job/readings.ts';
import type { Reading, Replayed } from '../../job/replayed.ts';
import type { Step } from '../../job/run-sheet.ts';
import { adviseSetting, type Advice } from '../../job/setting-advice.ts';
import type { CrankPlace } from '../crank/place/place.ts';
import { closureWork, slopeAmong, type ClosureWork, type Slope } from './closure-work.ts';
import { readChart, type ChartWork } from './lift-chart.ts';
import { cyclesOf, inSetting, liftOf, liftOnTheWay, standsOf, zeroOf, type Lift, type Stands } from './lift-cycles.ts';
import { numberOf } from './vocabulary.ts';

/** One whole cycle: crank backed to the base circle, dial zeroed, forward on the rising side to a lift. Degrees of the crank. */
export interface LiftWork {
  step: string;
  /** how often lift and crank were read in this setting of the gear */
  cycles: number;
  /** a lift was read and the crank at it not yet */
  standsWanted: boolean;
  /** what of it was read with a gauge that nobody named; null where all were named */
  unnamed: 'dial' | 'wheel' | null;
  falling: Reading[];
  /** where the plunger came to rest; null while it has not */
  base: { index: number; zeroMm: number } | null;
  /** the dial let fall onto its zero again: where it came back to, and how far that differed, by the steps of the dial alone */
  zero: { mm: number; spreadMm: number; u: number; n: number } | null;
  lift: { mm: number; u: number; n: number; scatterUnknown: boolean } | null;
  /** where the crank stood at the last lift, before TDC; null while nobody read it */
  stands: { btdc: number; uDeg: number } | null;
  /** what that lift means by the chart; null where there is no chart */
  means: FromChart | null;
  /** by the one lift at which the port closes; null where the maker gives a chart */
  closure: ClosureWork | null;
  /** lift for a degree of the crank there: by the chart, or measured on this engine; null while neither tells */
  slopeMmPerDeg: number | null;
  problem: CalcError | null;
  /** against what an earlier job proved: earlier above 0, crank degrees; null where none did, or at this job's own proof */
  drift: { provedBtdc: number; at: string; deg: number; uDeg: number; real: boolean } | null;
  /** the pump's timing, and its verdict; null limits are not judged */
  timing: {
    btdc: number;
    uDeg: number;
    verdict: Verdict | null;
    scatterUnknown: boolean;
    parts: Part[];
    /** what to do about it, once it is proved: the gear set again, the cycle read again, or left */
    advice: Advice;
  } | null;
}

/** How many readings alike are a base circle. */
export const RUN = 3;

/**
 * The pump's timing. By a chart: what it says for the lift that stands, moved by as much as the crank stood off TDC, a degree
 * of the crank for a degree of timing. By the one lift at which the port closes: where the crank stands as the dial shows it.
 * What the dial may be off is turned into degrees by the slope of the chart, or by the one measured on this engine.
 * @param earlier the steps that measured before this one, for the slope
 */
export function liftWork(
  engine: Engine,
  r: Pick<Replayed, 'readings'>,
  step: Pick<Step, 'id' | 'role'>,
  chart: ChartWork,
  crank: { placeAt: (seq: number) => CrankPlace; uTdc: number },
  earlier: readonly LiftWork[] = []
): LiftWork {
  const { id } = step;
  const mine = inSetting(
    r.readings.filter((x) => x.step === id),
    step.role === 'lift-proof'
  );
  const of = (slot: string) => mine.filter((x) => x.slot === slot);
  const falling = of('falling');
  const dial = falling[falling.length - 1];
  const found =
    dial && falling.length >= RUN
      ? pumpZero({
          readingsMm: falling.map((x) => x.value),
          // a dial at rest flickers by its step and by the hand
          resolutionMm: (dial.gauge?.resolution || dial.resolution) + 2 * (gaugeOf(dial).scatter ?? 0),
          minRun: RUN
        })
      : null;
  const zeros = byLastGauge(of('zero-again'));
  const lifts = byLastGauge(of('lift'));
  const zero = zeros.length ? zeroOf(zeros) : null;
  const byClosure = chart.kind === 'lift-to-closure';
  const lift = lifts.length ? (byClosure ? liftOnTheWay : liftOf)(lifts, zeros) : null;
  const { cycles, open } = cyclesOf(mine, lifts, crank.placeAt);
  const closure =
    byClosure && chart.target
      ? closureWork(chart.target.liftMm, cycles, { zeroMm: zero?.mm ?? 0, lift, uTdc: crank.uTdc }, slopeAmong(earlier))
      : null;
  const read = lift && !byClosure && chart.points.length ? readChart(engine, chart.kind, { liftMm: lift.mm }) : null;
  const means = read?.ok ? read.out : null;
  const stands = closure?.stands ?? (cycles.length ? standsOf(cycles.slice(byClosure ? -1 : 0), crank.uTdc) : null);
  const timed = !lift || !stands ? null : closure ? byClosureOf(closure, lift) : byChartOf(chart, means, lift, stands);
  const timing = timed && lift ? timingOf(engine, chart, timed, lift) : null;
  return {
    step: id,
    cycles: cycles.length,
    standsWanted: open,
    unnamed: [...zeros, ...lifts].some((x) => x.gauge === null)
      ? 'dial'
      : cycles.some((c) => c.stands.gauge === null)
        ? 'wheel'
        : null,
    falling,
    base: found?.found ? { index: found.index!, zeroMm: found.zeroMm! } : null,
    zero,
    lift: lift && {
      mm: lift.mm,
      u: Math.hypot(lift.hand, lift.step, lift.fixed),
      n: lifts.length,
      scatterUnknown: lift.unknown
    },
    stands,
    means,
    closure,
    slopeMmPerDeg: means ? Math.abs(means.slopeMmPerDeg) : closure?.slope ? 1 / closure.slope.degPerMm : null,
    problem: (read && !read.ok ? read.error : null) ?? closure?.problem ?? null,
    drift: timing && driftOf(engine, timing),
    timing
  };
}

/**
 * How far the timing moved since a job proved it; both have their doubt, and less than two of both together is none. Where
 * either doubt is not known, nothing is said: a drift that cannot be told from the hand is no drift.
 */
function driftOf(engine: Engine, timing: NonNullable<LiftWork['timing']>): LiftWork['drift'] {
  const { btdc, uDeg, scatterUnknown } = timing;
  const proved = engine.earlier?.['pump-timing'];
  if (!proved || proved.u === null || scatterUnknown) return null;
  const deg = btdc - proved.value;
  const u = Math.hypot(uDeg, proved.u);
  return { provedBtdc: proved.value, at: proved.at, deg, uDeg: u, real: Math.abs(deg) > 2 * u + 1e-9 };
}

/** A timing before it is judged. */
interface Timed {
  btdc: number;
  degPerMm: number;
  stands: Stands;
  /** what the slope adds where it was measured; null where the maker's chart gives it */
  slope: Part | null;
}

/** By a chart of the lift that stands at TDC: how far the crank stood off TDC is how far the timing differs from what it says. */
function byChartOf(chart: ChartWork, means: FromChart | null, lift: Lift, stands: Stands): Timed | null {
  const slope = Math.abs(means?.slopeMmPerDeg ?? 0);
  if (!means || chart.kind !== 'lift-at-tdc' || slope < 1e-9) return null;
  return { btdc: means.btdc + stands.btdc, degPerMm: 1 / slope, stands, slope: null };
}

/** The crank as the dial shows the lift to closure is the timing; the doubt of the slope is a doubt of what the dial is worth. */
function byClosureOf(closure: ClosureWork, lift: Lift): Timed | null {
  const { slope, stands } = closure;
  if (!slope || !stands) return null;
  return { btdc: stands.btdc, degPerMm: slope.degPerMm, stands, slope: slopePart(slope, lift) };
}

const slopePart = ({ uDegPerMm }: Slope, lift: Lift): Part => ({
  name: 'the slope as measured here',
  u: uDegPerMm * Math.hypot(lift.hand, lift.step, lift.fixed)
});

function timingOf(engine: Engine, chart: ChartWork, timed: Timed, lift: Lift): LiftWork['timing'] {
  const { btdc, degPerMm, stands, slope } = timed;
  const parts: Part[] = [
    { name: 'the hand at the dial', u: lift.hand * degPerMm },
    { name: 'the step of the dial', u: lift.step * degPerMm },
    { name: 'the dial\u2019s own \u00b1', u: lift.fixed * degPerMm },
    { name: 'where the crank stands', u: stands.uDeg },
    ...(slope ? [slope] : [])
  ];
  const uDeg = Math.hypot(...parts.map((p) => p.u));
  const [min, max] = [numberOf(engine, 'pumpMinBtdc') ?? null, numberOf(engine, 'pumpMaxBtdc') ?? null];
  const verdict = verdictOrNone(btdc, uDeg, min, max, lift.unknown);
  const n = stands.cycles;
  const uHand = Math.hypot(parts[0]!.u, stands.uHand);
  const uMore = Math.sqrt(Math.max(0, uDeg ** 2 - uHand ** 2 / (n + 1)));
  const limits = { min, max, target: chart.targetBtdc };
  const advice = adviseSetting({ value: btdc, u: uDeg, n, uHand, uMore }, verdict, limits);
  return { btdc, uDeg, verdict, scatterUnknown: lift.unknown, parts, advice };
}
