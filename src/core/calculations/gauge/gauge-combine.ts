import type { z } from 'zod';
import { mean, sampleSd } from '../../numerics/statistics.ts';
import { repeatedU } from './hand.ts';
import type { gaugeCombineInput } from './schemas.ts';

export interface Combined {
  mean: number;
  s: number;
  uA: number;
  uB: number;
  u: number;
  spread: number;
  scatterUnknown?: true;
}

/**
 * Mean of repeated readings with its standard uncertainty: u² = max(uA, step)² + accuracy²/3, uA the scatter of the mean,
 * pooled with what was learnt of this hand and stretched where it rests on few repeats.
 * @param input readings (one or more) and gauge in one unit
 * @returns mean, s (sample standard deviation, 0 for one reading), uA, uB of the gauge alone, u, spread = max - min;
 *   scatterUnknown where one reading is all there is and nothing is known of the hand: u then is the gauge's alone
 * @example gaugeCombine({ readings: [1.21, 1.24, 1.22, 1.23], gauge: { resolution: 0.01, accuracy: 0.02 } }).u  // 0.0148…
 */
export function gaugeCombine({ readings, gauge }: z.infer<typeof gaugeCombineInput>): Combined {
  const s = sampleSd(readings);
  const { u, uA, uB, unknown } = repeatedU(s, readings.length, gauge);
  let min = readings[0]!;
  let max = min;
  for (const r of readings) {
    if (r < min) min = r;
    if (r > max) max = r;
  }
  return { mean: mean(readings), s, uA, uB, u, spread: max - min, ...(unknown ? { scatterUnknown: true } : {}) };
}
