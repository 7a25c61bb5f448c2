import type { Engine } from '../engine/engine.ts';
import { aloneOf } from './judged.ts';
import { meanParts, meanRemedies, type Doubt, type Reach } from './narrow.ts';
import { byLastGauge, gaugeOf } from './readings.ts';
import type { Reading } from './replayed.ts';
import type { Slot } from './run-sheet.ts';

/**
 * What makes up the doubt of a judged figure and what would narrow it, in the base unit of its quantity; null where nothing
 * was read, or with a gauge whose scatter nobody knows. Where the last or the worst reading counts, it stands on that alone.
 */
export function judgedDoubt(engine: Engine, readings: readonly Reading[], slot: Slot, reach: Reach): Doubt | null {
  const all = readings.filter((r) => r.slot === slot.slot);
  if (all.length === 0 || slot.gauge === 'eye') return null;
  const alone = aloneOf(engine, slot, all);
  const mine = alone ? [alone] : byLastGauge(all);
  const first = mine[0]!;
  const gauge = gaugeOf(first);
  if (gauge.scatter === undefined) return null;
  const values = mine.map((r) => r.value);
  const remedies = meanRemedies(values, gauge, reach(slot.gauge), { gaugeId: first.gauge?.id });
  return {
    parts: meanParts(values, gauge),
    remedies: alone ? remedies.filter((r) => !r.oneMore) : remedies
  };
}
