import { repeatedU, stepU, typedInSteps, type Gauge } from '../calculations/gauge/hand.ts';
import { inHand } from '../tray/hands.ts';
import { mean, sampleSd } from '../numerics/statistics.ts';
import { unitSize, type Unit } from '../units/units.ts';
import type { Reading } from './replayed.ts';
import { ofLastSetting, onlyGuessed } from './settings.ts';

/** A figure of the drive with its standard uncertainty, from repeated readings or the data sheet. */
export interface Settled {
  value: number;
  u: number;
  n: number;
  /** nothing tells how much the hand scatters: u is the gauge's alone */
  scatterUnknown?: true;
  /** its readings lie further apart than this hand scatters: by how much, and how many times its scatter; never called in */
  disagree?: Disagree;
  /** one reading that lies apart from those before, and nobody said that anything was turned: never called in */
  guessed?: true;
}

/** Repeats that lie further apart than they may: how far, in their base unit, and how many times the scatter of this hand. */
export interface Disagree {
  apart: number;
  times: number;
}

/** How far repeats lie apart, for those that disagree. */
export const apartOf = (values: readonly number[], scatter: number | undefined): Disagree => {
  const apart = Math.max(...values) - Math.min(...values);
  return { apart, times: scatter ? apart / scatter : Infinity };
};

/** The gauge of a reading in the hand that took it. */
export const gaugeOf = (r: Reading): Gauge => inHand(r.gauge, r);

/** The step that a gauge shows, where all of some readings of degrees were typed coarser; null where they were not. */
export const finerThanTyped = (mine: readonly Reading[]): number | null => {
  const shown = mine[0]?.gauge?.resolution ?? 0;
  const degrees = mine[0]?.quantity === 'angle' || mine[0]?.quantity === 'timing';
  return degrees && shown > 0 && Math.min(...mine.map((r) => r.resolution)) > shown + 1e-9 ? shown : null;
};

/**
 * The gauge of readings that count together, in the hand that took them. Where all of them were typed in coarser steps than it
 * shows, as whole degrees on a wheel of halves, those steps count.
 * @param seekU standard deviation with which the thing itself is found again, as the snap an ear hears; same unit
 */
export function gaugeOfAll(mine: readonly Reading[], seekU = 0): Gauge {
  const held = gaugeOf(mine[0]!);
  const gauge = held.scatter === undefined ? held : { ...held, scatter: Math.hypot(held.scatter, seekU) };
  return finerThanTyped(mine) === null ? gauge : typedInSteps(gauge, Math.min(...mine.map((r) => r.resolution)));
}

/** The gauge that was named last; where none was named, only the step that was typed counts. Null without a reading. */
export function lastGaugeOf(readings: readonly Reading[]): Gauge | null {
  const last = readings.findLast((r) => r.gauge) ?? readings.at(-1);
  return last ? gaugeOfAll([last, ...readings.filter((r) => r.gauge?.id === last.gauge?.id)]) : null;
}

/**
 * Of readings of one thing those with the gauge that was read last: another gauge is another measurement, with a fixed error
 * and a step of its own, and a mean of both would have the doubt of neither.
 */
export function byLastGauge<R extends Pick<Reading, 'gauge'>>(readings: readonly R[]): R[] {
  const last = readings[readings.length - 1]?.gauge?.id;
  return readings.filter((r) => r.gauge?.id === last);
}

/** Mean of the readings of a slot (`seekU` as in gaugeOfAll) with what hand, step and accuracy make of it; null without any. */
export function settledOf(readings: readonly Reading[], slot: string, seekU = 0): Settled | null {
  const mine = countedOf(readings.filter((r) => r.slot === slot));
  if (mine.length === 0) return null;
  const values = mine.map((r) => r.value);
  const gauge = gaugeOfAll(mine, seekU);
  const { u, unknown, disagree } = repeatedU(sampleSd(values), values.length, gauge);
  return {
    value: mean(values),
    u,
    n: values.length,
    ...(unknown ? { scatterUnknown: true } : {}),
    ...(disagree ? { disagree: apartOf(values, Math.max(gauge.scatter ?? 0, stepU(gauge))) } : {}),
    ...(onlyGuessed(mine) ? { guessed: true } : {})
  };
}

/** Of the readings of a slot those that count together: of the setting that was read last, by the gauge that was read last. */
export const countedOf = <R extends Pick<Reading, 'gauge' | 'setting'>>(readings: readonly R[]): R[] =>
  byLastGauge(ofLastSetting(readings));

/** One reading by itself with what hand, step and accuracy make of it. */
export function oneReading(r: Reading): Settled {
  const { u, unknown } = repeatedU(0, 1, gaugeOf(r));
  return { value: r.value, u, n: 1, ...(unknown ? { scatterUnknown: true } : {}) };
}

export const lastOf = (readings: readonly Reading[], slot: string): Reading | null =>
  readings.findLast((r) => r.slot === slot) ?? null;

/** The parts of a sum as it was typed, in mm: `0.813 + 0.61` are two blades, and each brings its own doubt. */
export function partsOfSum(r: Reading): number[] {
  const numbers = [...r.text.matchAll(/\d+(?:[.,]\d*)?|[.,]\d+/g)].map((m) => Number(m[0].replace(',', '.')));
  if (!r.text.includes('+') || numbers.length < 2) return [r.value];
  return numbers.map((x) => x * unitSize[r.unit as Unit]);
}

/** Who read it, in words: what was carried over was read by somebody else, on an earlier job. */
export const readBy = (r: Pick<Reading, 'by' | 'from'>): string => (r.from ? `${r.from.by}, carried over` : r.by.name);
/** When it was read. */
export const readAt = (r: Pick<Reading, 'at' | 'from'>): string => r.from?.at ?? r.at;
