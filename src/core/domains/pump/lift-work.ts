import { pumpZero } from '../../calculations/pump/pump-zero.ts';
import type { FromChart } from '../../calculations/pump/pump-chart.ts';
import { fixedU, handU, stepU } from '../../calculations/gauge/hand.ts';
import { verdictOrNone, type Verdict } from '../../calculations/verdict/verdict.ts';
import type { CalcError } from '../../errors/catalogue.ts';
import type { Engine } from '../../engine/engine.ts';
import type { Part } from '../../job/narrow.ts';
import { byLastGauge, gaugeOf } from '../../job/readings.ts';
import type { Reading, Replayed } from '../../job/replayed.ts';
import { wrap180 } from '../../numerics/angles.ts';
import { mean, sampleSd } from '../../numerics/statistics.ts';
import { isOf } from '../../job/run-sheet.ts';
import type { CrankPlace } from '../crank/place/place.ts';
import { readChart, type ChartWork } from './lift-chart.ts';
import { numberOf } from './vocabulary.ts';

/** One whole cycle: crank backed to the base circle, dial zeroed, forward on the rising side to a lift. Degrees of the crank. */
export interface LiftWork {
  step: string;
  falling: Reading[];
  /** where the plunger came to rest; null while it has not */
  base: { index: number; zeroMm: number } | null;
  /** the dial let fall onto its zero again: where it came back to, and how far that differed, by the steps of the dial alone */
  zero: { mm: number; spreadMm: number; u: number; n: number } | null;
  lift: { mm: number; u: number; n: number; scatterUnknown: boolean } | null;
  /** where the crank stood at the last lift, before TDC; null while nobody read it */
  stands: { btdc: number; uDeg: number } | null;
  /** what that lift means by the chart */
  means: FromChart | null;
  problem: CalcError | null;
  /** against what an earlier job proved: earlier above 0, crank degrees; null where none did, or at this job's own proof */
  drift: { provedBtdc: number; at: string; deg: number; uDeg: number; real: boolean } | null;
  /** the pump's timing, and its verdict; null limits are not judged */
  timing: { btdc: number; uDeg: number; verdict: Verdict | null; scatterUnknown: boolean; parts: Part[] } | null;
}

/** How many readings alike are a base circle. */
export const RUN = 3;

/**
 * The pump's timing by its lift: what the chart says for the lift that stands, moved by as much as the crank stood off the
 * place that the chart's kind asks for (TDC for a lift standing at TDC, else the timing wanted): a degree of the crank is
 * a degree of timing. The lift is the difference of two readings of one dial, so hand and step count twice and the dial's
 * own error once; in degrees all of them are divided by the slope of the chart there.
 */
export function liftWork(
  engine: Engine,
  r: Replayed,
  step: string,
  chart: ChartWork,
  placeAt: (seq: number) => CrankPlace
): LiftWork {
  const of = (slot: string) => r.readings.filter((x) => x.step === step && x.slot === slot);
  const falling = of('falling');
  const dial = falling[falling.length - 1];
  const found =
    dial && falling.length >= RUN
      ? pumpZero({
          readingsMm: falling.map((x) => x.value),
          resolutionMm: dial.gauge?.resolution || dial.resolution,
          minRun: RUN
        })
      : null;
  const zeros = byLastGauge(of('zero-again'));
  const lifts = byLastGauge(of('lift'));
  const zero = zeros.length ? zeroOf(zeros) : null;
  const lift = lifts.length ? liftOf(lifts, zeros) : null;
  const at = lifts[lifts.length - 1] ? placeAt(lastSeq(r, step, lifts[lifts.length - 1]!.seq)) : null;
  const stands =
    at?.crankDeg != null && of('stands').length + of('stands-back').length > 0
      ? { btdc: -wrap180(at.crankDeg), uDeg: at.uDeg ?? 0 }
      : null;
  const read = lift ? readChart(engine, { liftMm: lift.mm }) : null;
  const means = read?.ok ? read.out : null;
  const timing = lift && means && stands && chart.kind ? timingOf(engine, chart, lift, means, stands) : null;
  return {
    step,
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
    problem: read && !read.ok ? read.error : null,
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

/** The crank is read once it stands at the lift: the first reading of it after the lift counts, or the last before it. */
function lastSeq(r: Replayed, step: string, liftSeq: number): number {
  const stands = r.readings.filter((x) => x.step === step && isOf('stands', x.slot));
  return stands.find((x) => x.seq > liftSeq)?.seq ?? liftSeq;
}

function zeroOf(zeros: Reading[]): NonNullable<LiftWork['zero']> {
  const mm = zeros.map((x) => x.value);
  return {
    mm: mean(mm),
    spreadMm: Math.max(...mm) - Math.min(...mm),
    u: stepU(gaugeOf(zeros[0]!)) * Math.SQRT2,
    n: mm.length
  };
}

interface Lift {
  mm: number;
  hand: number;
  step: number;
  fixed: number;
  unknown: boolean;
}

function liftOf(lifts: Reading[], zeros: Reading[]): Lift {
  const gauge = gaugeOf(lifts[0]!);
  const values = lifts.map((x) => x.value);
  const atLift = handU(sampleSd(values), values.length, gauge);
  const low = zeros.map((x) => x.value);
  // the dial was set to zero by hand where its zero was not read again: once, and as well as one reading
  const atZero = handU(sampleSd(low), Math.max(1, low.length), gauge);
  const steps = stepU(gauge) * Math.SQRT2;
  const hand = Math.hypot(atLift.u, atZero.u);
  return {
    mm: mean(values) - (low.length ? mean(low) : 0),
    hand: hand > steps ? hand : 0,
    step: hand > steps ? 0 : steps,
    fixed: fixedU(gauge),
    unknown: atLift.unknown || atZero.unknown
  };
}

function timingOf(
  engine: Engine,
  chart: ChartWork,
  lift: Lift,
  means: FromChart,
  stands: { btdc: number; uDeg: number }
): LiftWork['timing'] {
  const slope = Math.abs(means.slopeMmPerDeg);
  const asked = chart.kind === 'lift-at-tdc' ? 0 : chart.targetBtdc;
  if (asked === null || slope < 1e-9) return null;
  const btdc = means.btdc + (stands.btdc - asked);
  const parts: Part[] = [
    { name: 'the hand at the dial', u: lift.hand / slope },
    { name: 'the step of the dial', u: lift.step / slope },
    { name: 'the dial\u2019s own \u00b1', u: lift.fixed / slope },
    { name: 'where the crank stands', u: stands.uDeg }
  ];
  const uDeg = Math.hypot(...parts.map((p) => p.u));
  const [min, max] = [numberOf(engine, 'pumpMinBtdc') ?? null, numberOf(engine, 'pumpMaxBtdc') ?? null];
  return {
    btdc,
    uDeg,
    verdict: verdictOrNone(btdc, uDeg, min, max, lift.unknown),
    scatterUnknown: lift.unknown,
    parts
  };
}
