import { stretch } from '../../numerics/student.ts';
import { fixedU, gaugeU, stepU, type Gauge } from '../gauge/hand.ts';
import { dropSlope, type Slider } from '../piston/slider.ts';

export interface FitGauges {
  wheel: Gauge;
  dial: Gauge;
}

/** The mean of the slopes, and the sum of squares about it: how firmly the readings hold the top. */
export function spreadOf(slopes: Float64Array): { mean: number; a: number } {
  const mean = slopes.reduce((sum, j) => sum + j, 0) / slopes.length;
  let a = 0;
  for (const j of slopes) a += (j - mean) ** 2;
  return { mean, a };
}

/** How much each reading pulls the fit towards itself (leverage of linear regression), from the slopes at their places. */
export function leverages(slopes: Float64Array): Float64Array {
  const { mean, a } = spreadOf(slopes);
  return slopes.map((j) => Math.min(0.99, 1 / slopes.length + (j - mean) ** 2 / a));
}

/**
 * Standard uncertainty of the top as a fit finds it, degrees: every reading by how far it is off, stretched for few readings,
 * never below what the steps of the gauges do; and a dial that lags, one way before the top and the other after it, which more
 * readings do not lessen. The wheel's fixed errors differ from place to place and show in how far the readings are off.
 * @param at slopes of the drop at each reading, mm/°; -1 before the top and 1 after it; how far off the curve of the others, mm
 */
export function fitU(
  at: { slopes: Float64Array; sides: Float64Array; off: Float64Array },
  { wheel, dial }: FitGauges
): number {
  const { mean, a } = spreadOf(at.slopes);
  let robust = 0;
  let steps = 0;
  let lag = 0;
  for (const [k, slope] of at.slopes.entries()) {
    const j = slope - mean;
    robust += (j * at.off[k]!) ** 2;
    steps += j * j * (stepU(dial) ** 2 + (slope * gaugeU(wheel)) ** 2);
    lag += j * at.sides[k]!;
  }
  const scatter = Math.sqrt(Math.max(robust * stretch(at.slopes.length - 2) ** 2, steps)) / a;
  return Math.hypot(scatter, (fixedU(dial) * lag) / a);
}

/**
 * What tdc.fit would say of its doubt, degrees, for readings at these places of the crank by hands that scatter as they are
 * known to: how far a reading is then off is its scatter on dial and wheel together, over √(1 - leverage). A hand of which
 * nothing is known adds nothing.
 * @example fitOutlookU(slider, [-40, -20, 20, 40], gauges)  // degrees
 */
export function fitOutlookU(s: Slider, placesDeg: readonly number[], gauges: FitGauges): number {
  const slopes = Float64Array.from(placesDeg, (t) => dropSlope(s, t));
  const lever = leverages(slopes);
  const off = slopes.map(
    (j, k) => Math.hypot(gauges.dial.scatter ?? 0, j * (gauges.wheel.scatter ?? 0)) / Math.sqrt(1 - lever[k]!)
  );
  return fitU({ slopes, sides: Float64Array.from(placesDeg, Math.sign), off }, gauges);
}
