import type { z } from 'zod';
import { mean, sampleSd } from '../../numerics/statistics.ts';
import type { gaugeCombineInput } from './schemas.ts';

export interface Gauge {
  resolution: number;
  accuracy: number;
}

/**
 * Standard uncertainty of one reading of a gauge: the step it shows and the ± it is good for, both taken as
 * rectangular (Guide to the expression of uncertainty in measurement, 4.3.7). Same unit as the gauge.
 * @example gaugeU({ resolution: 0.01, accuracy: 0.02 })  // 0.0119…
 */
export function gaugeU(g: Gauge): number {
  return Math.sqrt(g.resolution ** 2 / 12 + g.accuracy ** 2 / 3);
}

export interface Combined {
  mean: number;
  s: number;
  uA: number;
  uB: number;
  u: number;
  spread: number;
}

/**
 * Mean of repeated readings with its standard uncertainty: scatter of the mean and the gauge's own, added in squares.
 * @param input readings (one or more) and gauge in one unit
 * @returns mean, s (sample standard deviation, 0 for one reading), uA = s/√n, uB of the gauge, u, spread = max - min
 * @example gaugeCombine({ readings: [1.21, 1.24, 1.22, 1.23], gauge: { resolution: 0.01, accuracy: 0.02 } }).u  // 0.01354…
 */
export function gaugeCombine({ readings, gauge }: z.infer<typeof gaugeCombineInput>): Combined {
  const s = sampleSd(readings);
  const uA = s / Math.sqrt(readings.length);
  const uB = gaugeU(gauge);
  let min = readings[0]!;
  let max = min;
  for (const r of readings) {
    if (r < min) min = r;
    if (r > max) max = r;
  }
  return { mean: mean(readings), s, uA, uB, u: Math.hypot(uA, uB), spread: max - min };
}
