import { fixedU, handU, repeatedU, stepU } from '../../calculations/gauge/hand.ts';
import { gaugeOf, gaugeOfAll } from '../../job/readings.ts';
import type { Reading } from '../../job/replayed.ts';
import { isOf } from '../../job/run-sheet.ts';
import { ofLastSetting } from '../../job/settings.ts';
import { mean, sampleSd } from '../../numerics/statistics.ts';
import { wrap180 } from '../../numerics/angles.ts';
import type { CrankPlace } from '../crank/place/place.ts';

/** The readings since the gear was last touched, or, where the pump is only found, of its last setting that was read. */
export function inSetting(mine: readonly Reading[], proof: boolean): Reading[] {
  const set = mine.filter((x) => x.setting?.thing === 'pump-gear');
  if (set.length === 0) return [...mine];
  const counted = proof ? set.filter((x) => !x.setting!.earlier) : ofLastSetting(set);
  const from = counted[0]?.seq ?? Infinity;
  return mine.filter((x) => (x.setting ? counted.includes(x) : x.seq > from));
}

/** A lift, or several of one place, and where the crank stood there, degrees before TDC. */
export interface Cycle {
  /** the last lift read before the crank was */
  liftMm: number;
  btdc: number;
  stands: Reading;
}

/** The crank is read once it stands at the lift: what was read of it last, before the next lift, counts. */
export function cyclesOf(
  mine: readonly Reading[],
  lifts: readonly Reading[],
  placeAt: (seq: number) => CrankPlace
): { cycles: Cycle[]; open: boolean } {
  const out: { lift: Reading; stands: Reading }[] = [];
  let lift: Reading | null = null;
  for (const x of mine) {
    if (lifts.includes(x)) lift = x;
    else if (isOf('stands', x.slot)) {
      if (lift) out.push({ lift, stands: x });
      else if (out.length > 0) out[out.length - 1]!.stands = x;
      lift = null;
    }
  }
  const cycles = out.flatMap(({ lift: at, stands }) => {
    const place = placeAt(stands.seq);
    return place.crankDeg === null ? [] : [{ liftMm: at.value, btdc: -wrap180(place.crankDeg), stands }];
  });
  return { cycles, open: lift !== null };
}

/** Where the crank stood at the lift, over so many cycles; uHand is what further cycles narrow. Degrees of the crank. */
export interface Stands {
  btdc: number;
  uDeg: number;
  uHand: number;
  cycles: number;
}

/**
 * Where the crank stands, over all cycles: the hand scatters from one to the next, where TDC lies is in all alike.
 * @param uLift what the dial's scatter adds to each, where the crank is read as the dial shows a lift
 */
export function standsOf(cycles: readonly Pick<Cycle, 'btdc' | 'stands'>[], uTdc: number, uLift = 0): Stands {
  const at = cycles.map((c) => c.btdc);
  const named = gaugeOfAll(cycles.map((c) => c.stands));
  const gauge = named.scatter === undefined ? named : { ...named, scatter: Math.hypot(named.scatter, uLift) };
  const { u } = repeatedU(sampleSd(at), at.length, gauge);
  const uHand = Math.sqrt(Math.max(0, u ** 2 - fixedU(gauge) ** 2));
  return { btdc: mean(at), uDeg: Math.hypot(u, uTdc), uHand, cycles: at.length };
}

/** The dial let fall onto its zero again. */
export interface Zero {
  mm: number;
  spreadMm: number;
  u: number;
  n: number;
}

export function zeroOf(zeros: Reading[]): Zero {
  const mm = zeros.map((x) => x.value);
  return {
    mm: mean(mm),
    spreadMm: Math.max(...mm) - Math.min(...mm),
    u: stepU(gaugeOf(zeros[0]!)) * Math.SQRT2,
    n: mm.length
  };
}

/** A lift off the zero, with what its ± is made of, mm. */
export interface Lift {
  mm: number;
  hand: number;
  step: number;
  fixed: number;
  /** nothing tells how this dial scatters in this hand */
  unknown: boolean;
}

/** Lifts of one place: the difference of two readings of one dial, so hand and step count twice and its own error once. */
export function liftOf(lifts: Reading[], zeros: Reading[]): Lift {
  const gauge = gaugeOf(lifts[0]!);
  const values = lifts.map((x) => x.value);
  const low = zeros.map((x) => x.value);
  // the dial was set to zero by hand where its zero was not read again: once, and as well as one reading
  const atZero = handU(sampleSd(low), Math.max(1, low.length), gauge);
  const alike = handU(sampleSd(values), values.length, gauge);
  return {
    mm: mean(values) - (low.length ? mean(low) : 0),
    ...handOrSteps(Math.hypot(alike.u, atZero.u), stepU(gauge) * Math.SQRT2),
    fixed: fixedU(gauge),
    unknown: alike.unknown || atZero.unknown
  };
}

/**
 * Lifts read at several places on the way: they tell nothing of the hand by their spread. What the dial scatters by is what
 * it scattered by at its zero, or what was learnt of it; it counts once at the zero and once at each lift.
 */
export function liftOnTheWay(lifts: Reading[], zeros: Reading[]): Lift {
  const gauge = gaugeOf(lifts[0]!);
  const low = zeros.map((x) => x.value);
  const n = Math.max(1, low.length);
  const atZero = handU(sampleSd(low), n, gauge);
  const atLifts = atZero.u * Math.sqrt(n / lifts.length);
  return {
    mm: lifts.at(-1)!.value - (low.length ? mean(low) : 0),
    ...handOrSteps(Math.hypot(atLifts, atZero.u), stepU(gauge) * Math.SQRT2),
    fixed: fixedU(gauge),
    unknown: atZero.unknown
  };
}

/** The larger of the two counts: the step shows in the scatter already. */
const handOrSteps = (hand: number, steps: number) => ({
  hand: hand > steps ? hand : 0,
  step: hand > steps ? 0 : steps
});
