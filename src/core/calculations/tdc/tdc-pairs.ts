import type { z } from 'zod';
import { EPS, mod, wrap180, wrap360 } from '../../numerics/angles.ts';
import { fail } from '../../errors/catalogue.ts';
import { ok, type Result } from '../../errors/result.ts';
import { gaugeU } from '../gauge/gauge-combine.ts';
import { mean, sampleSd } from '../../numerics/statistics.ts';
import type { tdcPairsInput } from './schemas.ts';
import { anglesAtDrop, dropSlope, slider, type Slider } from '../piston/slider.ts';
import { pairU } from './tdc-dwell.ts';

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
}

type Input = z.infer<typeof tdcPairsInput>;

/**
 * True TDC from degree-wheel readings at equal piston depth before and after it (two-sided method).
 * The middle of each pair, less the bias of an offset pin, is TDC; the mean is taken about the first so that pairs
 * on both sides of the wheel's zero average correctly. uDeg is the larger of what the gauges allow and what the
 * pairs' own scatter shows.
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
  const uWheel = gaugeU(i.wheel);
  const uDial = i.dial ? gaugeU(i.dial) : 0;
  const perPair: PairMiddle[] = [];
  for (const [n, pair] of i.pairs.entries()) {
    const middle = onePair(pair, n, s, uWheel, uDial);
    if (!middle.ok) return middle;
    perPair.push(middle.out);
  }
  const first = perPair[0]!.tdcWheelDeg;
  const offsets = perPair.map((p) => wrap180(p.tdcWheelDeg - first));
  const fromGauges = Math.sqrt(perPair.reduce((t, p) => t + p.uDeg ** 2, 0)) / perPair.length;
  const fromScatter = sampleSd(offsets) / Math.sqrt(offsets.length);
  const tdc = wrap360(first + mean(offsets));
  return ok({
    tdcWheelDeg: tdc,
    errorDeg: wrap180(tdc),
    uDeg: Math.max(fromGauges, fromScatter),
    spreadDeg: Math.max(...offsets) - Math.min(...offsets),
    perPair
  });
}

function onePair(
  pair: Input['pairs'][number],
  n: number,
  s: Slider | null,
  uWheel: number,
  uDial: number
): Result<PairMiddle> {
  const spanDeg = mod(pair.afterWheelDeg - pair.beforeWheelDeg, 360);
  if (spanDeg > 180 + EPS)
    return fail('pair-swapped', `pairs.${n}`, { pair: n + 1, before: pair.beforeWheelDeg, after: pair.afterWheelDeg });
  let biasDeg = 0;
  let uDeg = uWheel / Math.SQRT2;
  if (s && pair.dropMm !== undefined) {
    const a = pair.dropMm > 0 ? anglesAtDrop(s, pair.dropMm) : null;
    if (!a) return fail('drop-out-of-range', `pairs.${n}.dropMm`, { dropMm: pair.dropMm, maxMm: s.maxDropMm });
    biasDeg = (a.afterDeg - a.beforeDeg) / 2;
    const slope = (Math.abs(dropSlope(s, -a.beforeDeg)) + Math.abs(dropSlope(s, a.afterDeg))) / 2;
    if (uDial > 0) uDeg = pairU(uWheel, uDial, slope);
  }
  return ok({ tdcWheelDeg: wrap360(pair.beforeWheelDeg + spanDeg / 2 - biasDeg), spanDeg, biasDeg, uDeg });
}
