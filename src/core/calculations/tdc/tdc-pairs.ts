import type { z } from 'zod';
import { EPS, mod, wrap180, wrap360 } from '../../numerics/angles.ts';
import { fail } from '../../errors/catalogue.ts';
import { ok, type Result } from '../../errors/result.ts';
import { fixedU, gaugeU, handU, stepU, type Gauge } from '../gauge/hand.ts';
import { mean, sampleSd, together } from '../../numerics/statistics.ts';
import type { tdcPairsInput } from './schemas.ts';
import { pairU } from './tdc-dwell.ts';
import { anglesAtDrop, dropSlope, slider, type Slider } from '../piston/slider.ts';

export interface PairMiddle {
  tdcWheelDeg: number;
  spanDeg: number;
  biasDeg: number;
  uDeg: number;
}

export interface TdcFromPairs {
  tdcWheelDeg: number;
  errorDeg: number;
  uDeg: number;
  spreadDeg: number;
  perPair: PairMiddle[];
  scatterUnknown?: true;
  /** the middles lie further apart than this hand scatters */
  disagree?: true;
}

type Input = z.infer<typeof tdcPairsInput>;
type Gauges = { wheel: Gauge; dial?: Gauge | undefined };

/**
 * True TDC from degree-wheel readings at equal piston depth before and after it (two-sided method).
 * The middle of each pair, less the bias of an offset pin, is TDC; the mean is taken about the first so that pairs
 * on both sides of the wheel's zero average correctly. u² = max(scatter of the middles, steps)² + fixed errors²: what scatters
 * falls with more pairs, the fixed errors of wheel and dial do not. The scatter is pooled with what was learnt of this hand;
 * with one pair and nothing learnt it is not known, and the answer says so.
 * @returns tdcWheelDeg in [0, 360); errorDeg in (-180, 180], what the wheel shows at true TDC
 * Errors `pair-swapped` (span above 180), `drop-out-of-range`, `geometry-impossible`.
 */
export function tdcPairs(i: Input): Result<TdcFromPairs> {
  let s: Slider | null = null;
  if (i.strokeMm !== undefined && i.rodMm !== undefined) {
    const g = slider({ strokeMm: i.strokeMm, rodMm: i.rodMm, pinOffsetMm: i.pinOffsetMm });
    if (!g.ok) return g;
    s = g.out;
  }
  const perPair: PairMiddle[] = [];
  const slopes: number[] = [];
  for (const [n, pair] of i.pairs.entries()) {
    const middle = onePair(pair, n, s, i);
    if (!middle.ok) return middle;
    const { slope, ...out } = middle.out;
    perPair.push(out);
    if (slope !== null) slopes.push(slope);
  }
  const first = perPair[0]!.tdcWheelDeg;
  const offsets = perPair.map((p) => wrap180(p.tdcWheelDeg - first));
  const sum = pairsU(sampleSd(offsets), offsets.length, i, slopes.length ? mean(slopes) : null);
  const tdc = wrap360(first + mean(offsets));
  return ok({
    tdcWheelDeg: tdc,
    errorDeg: wrap180(tdc),
    uDeg: sum.u,
    spreadDeg: Math.max(...offsets) - Math.min(...offsets),
    perPair,
    ...(sum.unknown ? { scatterUnknown: true as const } : {}),
    ...(sum.disagree ? { disagree: true as const } : {})
  });
}

/**
 * What hand, steps and fixed errors make of the mean of n middles, in degrees: u² = max(hand, steps)² + fixed².
 * @param s standard deviation of the middles, 0 for one
 * @param slope mm of drop a degree at the depth read, or null where the dial does not enter
 */
export function pairsU(
  s: number,
  n: number,
  gauges: Gauges,
  slope: number | null
): { u: number; hand: number; steps: number; fixed: number; unknown: boolean; disagree: boolean } {
  const hand = handU(s, n, gauges.wheel, Math.SQRT1_2);
  const { steps, fixed } = pairParts(gauges, slope);
  return {
    u: together(Math.max(hand.u, steps), fixed),
    hand: hand.u,
    steps,
    fixed,
    unknown: hand.unknown,
    disagree: hand.disagree
  };
}

/**
 * What steps and fixed errors do to the middle of a pair, in degrees. Of two readings of the wheel each has its own; the
 * dial's error stays whole, since a dial that lags errs one way before the top and the other way after it.
 * @param slope mm of drop a degree at the depth read, or null where the dial does not enter
 */
export function pairParts({ wheel, dial }: Gauges, slope: number | null): { steps: number; fixed: number } {
  const ofDial = dial && slope ? { step: stepU(dial) / slope, fixed: fixedU(dial) / slope } : { step: 0, fixed: 0 };
  return {
    steps: together(stepU(wheel), ofDial.step) / Math.SQRT2,
    fixed: together(fixedU(wheel) / Math.SQRT2, ofDial.fixed)
  };
}

/** How fast the piston falls where a pair was read, mm a degree: the mean of both sides. */
export const slopeOfPair = (s: Slider, at: { beforeDeg: number; afterDeg: number }): number =>
  (Math.abs(dropSlope(s, -at.beforeDeg)) + Math.abs(dropSlope(s, at.afterDeg))) / 2;

function onePair(
  pair: Input['pairs'][number],
  n: number,
  s: Slider | null,
  gauges: Gauges
): Result<PairMiddle & { slope: number | null }> {
  const spanDeg = mod(pair.afterWheelDeg - pair.beforeWheelDeg, 360);
  if (spanDeg > 180 + EPS)
    return fail('pair-swapped', `pairs.${n}`, { pair: n + 1, before: pair.beforeWheelDeg, after: pair.afterWheelDeg });
  let biasDeg = 0;
  let slope: number | null = null;
  if (s && pair.dropMm !== undefined) {
    const a = pair.dropMm > 0 ? anglesAtDrop(s, pair.dropMm) : null;
    if (!a) return fail('drop-out-of-range', `pairs.${n}.dropMm`, { dropMm: pair.dropMm, maxMm: s.maxDropMm });
    biasDeg = (a.afterDeg - a.beforeDeg) / 2;
    if (gauges.dial) slope = slopeOfPair(s, a);
  }
  // of one pair, by what the gauges themselves do
  const uDeg =
    slope === null ? gaugeU(gauges.wheel) / Math.SQRT2 : pairU(gaugeU(gauges.wheel), gaugeU(gauges.dial!), slope);
  const tdcWheelDeg = wrap360(pair.beforeWheelDeg + spanDeg / 2 - biasDeg);
  return ok({ tdcWheelDeg, spanDeg, biasDeg, uDeg, slope });
}
