import { pumpZero } from '../../calculations/pump/pump-zero.ts';
import type { FromChart } from '../../calculations/pump/pump-chart.ts';
import { fixedU, handU, repeatedU, stepU } from '../../calculations/gauge/hand.ts';
import { verdictOrNone, type Verdict } from '../../calculations/verdict/verdict.ts';
import type { CalcError } from '../../errors/catalogue.ts';
import type { Engine } from '../../engine/engine.ts';
import type { Part } from '../../job/narrow.ts';
import { byLastGauge, gaugeOf, gaugeOfAll } from '../../job/readings.ts';
import type { Reading, Replayed } from '../../job/replayed.ts';
import { wrap180 } from '../../numerics/angles.ts';
import { mean, sampleSd } from '../../numerics/statistics.ts';
import { isOf, type Step } from '../../job/run-sheet.ts';
import { adviseSetting, type Advice } from '../../job/setting-advice.ts';
import { ofLastSetting } from '../../job/settings.ts';
import type { CrankPlace } from '../crank/place/place.ts';
import { readChart, type ChartWork } from './lift-chart.ts';
import { numberOf } from './vocabulary.ts';

/** One whole cycle: crank backed to the base circle, dial zeroed, forward on the rising side to a lift. Degrees of the crank. */
export interface LiftWork {
  step: string;
  /** how often lift and crank were read in this setting of the gear */
  cycles: number;
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
 * The pump's timing by its lift: what the chart says for the lift that stands, moved by as much as the crank stood off the
 * place that the chart's kind asks for (TDC for a lift standing at TDC, else the timing wanted): a degree of the crank is
 * a degree of timing. The lift is the difference of two readings of one dial, so hand and step count twice and the dial's
 * own error once; in degrees all of them are divided by the slope of the chart there.
 */
export function liftWork(
  engine: Engine,
  r: Replayed,
  step: Pick<Step, 'id' | 'role'>,
  chart: ChartWork,
  crank: { placeAt: (seq: number) => CrankPlace; uTdc: number }
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
  const lift = lifts.length ? liftOf(lifts, zeros) : null;
  const cycles = cyclesOf(mine, lifts, crank.placeAt);
  const stands = cycles.length ? standsOf(cycles, crank.uTdc) : null;
  const read = lift ? readChart(engine, { liftMm: lift.mm }) : null;
  const means = read?.ok ? read.out : null;
  const timing = lift && means && stands && chart.kind ? timingOf(engine, chart, lift, means, stands) : null;
  return {
    step: id,
    cycles: cycles.length,
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

/** The readings since the gear was last touched, or, where the pump is only found, of its last setting that was read. */
function inSetting(mine: readonly Reading[], proof: boolean): Reading[] {
  const set = mine.filter((x) => x.setting?.thing === 'pump-gear');
  if (set.length === 0) return [...mine];
  const counted = proof ? set.filter((x) => !x.setting!.earlier) : ofLastSetting(set);
  const from = counted[0]?.seq ?? Infinity;
  return mine.filter((x) => (x.setting ? counted.includes(x) : x.seq > from));
}

/** Where the crank stood at the lift, over so many cycles; uHand is what further cycles narrow. */
interface Stands {
  btdc: number;
  uDeg: number;
  uHand: number;
  cycles: number;
}

/** A lift, or several of one place, and where the crank stood there. */
interface Cycle {
  btdc: number;
  stands: Reading;
}

/** The crank is read once it stands at the lift: what was read of it last, before the next lift, counts. */
function cyclesOf(mine: readonly Reading[], lifts: readonly Reading[], placeAt: (seq: number) => CrankPlace): Cycle[] {
  const out: Reading[] = [];
  let open = false;
  for (const x of mine) {
    if (lifts.includes(x)) open = true;
    else if (isOf('stands', x.slot)) {
      if (open) out.push(x);
      else if (out.length > 0) out[out.length - 1] = x;
      open = false;
    }
  }
  return out.flatMap((stands) => {
    const at = placeAt(stands.seq);
    return at.crankDeg === null ? [] : [{ btdc: -wrap180(at.crankDeg), stands }];
  });
}

/** Where the crank stands at the lift, over all cycles: the hand scatters from one to the next, where TDC lies is in all alike. */
function standsOf(cycles: readonly Cycle[], uTdc: number): Stands {
  const at = cycles.map((c) => c.btdc);
  const gauge = gaugeOfAll(cycles.map((c) => c.stands));
  const { u } = repeatedU(sampleSd(at), at.length, gauge);
  const uHand = Math.sqrt(Math.max(0, u ** 2 - fixedU(gauge) ** 2));
  return { btdc: mean(at), uDeg: Math.hypot(u, uTdc), uHand, cycles: at.length };
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

function timingOf(engine: Engine, chart: ChartWork, lift: Lift, means: FromChart, stands: Stands): LiftWork['timing'] {
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
  const verdict = verdictOrNone(btdc, uDeg, min, max, lift.unknown);
  const n = stands.cycles;
  const uHand = Math.hypot(parts[0]!.u, stands.uHand);
  const uMore = Math.sqrt(Math.max(0, uDeg ** 2 - uHand ** 2 / (n + 1)));
  const limits = { min, max, target: chart.targetBtdc };
  const advice = adviseSetting({ value: btdc, u: uDeg, n, uHand, uMore }, verdict, limits);
  return { btdc, uDeg, verdict, scatterUnknown: lift.unknown, parts, advice };
}
