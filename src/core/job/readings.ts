import { gaugeU, type Gauge } from '../calculations/gauge/gauge-combine.ts';
import { mean, sampleSd } from '../numerics/statistics.ts';
import { unitSize, type Unit } from '../units/units.ts';
import type { Reading } from './replayed.ts';

/** A figure of the drive with its standard uncertainty, from repeated readings or the data sheet. */
export interface Settled {
  value: number;
  u: number;
  n: number;
}

export const gaugeOf = (r: Reading): Gauge => r.gauge ?? { resolution: r.resolution, accuracy: 0 };

/** Mean of the readings of a slot: their scatter and the gauge's own step and accuracy in squares; null without any. */
export function settledOf(readings: readonly Reading[], slot: string): Settled | null {
  const mine = readings.filter((r) => r.slot === slot);
  if (mine.length === 0) return null;
  const values = mine.map((r) => r.value);
  return {
    value: mean(values),
    u: Math.hypot(sampleSd(values) / Math.sqrt(values.length), gaugeU(gaugeOf(mine[0]!))),
    n: values.length
  };
}

export const lastOf = (readings: readonly Reading[], slot: string): Reading | null =>
  readings.findLast((r) => r.slot === slot) ?? null;

/** The parts of a sum as it was typed, in mm: `0.813 + 0.61` are two blades, and each brings its own doubt. */
export function partsOfSum(r: Reading): number[] {
  const numbers = [...r.text.matchAll(/\d+(?:[.,]\d*)?|[.,]\d+/g)].map((m) => Number(m[0].replace(',', '.')));
  if (!r.text.includes('+') || numbers.length < 2) return [r.value];
  return numbers.map((x) => x * unitSize[r.unit as Unit]);
}
