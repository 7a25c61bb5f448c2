import { pointsDwell } from '../../calculations/points/points-dwell.ts';
import type { Engine } from '../../engine/engine.ts';
import type { Replayed } from '../../job/replayed.ts';
import { listOf, numberOf, readingsOf } from './vocabulary.ts';

/** The dwell beside its limits: its share of a cylinder's turn, and what changing it did to the timing. */
export interface GapWork {
  pct: number | null;
  shift: { fromDeg: number; toDeg: number; timingShiftDeg: number } | null;
}

export function gapWork(engine: Engine, r: Replayed): GapWork {
  const dwells = readingsOf(r.readings, 'dwell');
  const [before, last] = [dwells[dwells.length - 2], dwells[dwells.length - 1]];
  const cylinders = listOf(engine, 'firingOrder')?.length;
  const ratio = numberOf(engine, 'ratio');
  if (!last || cylinders === undefined) return { pct: null, shift: null };
  const room = 360 / cylinders;
  const usable = before && ratio !== undefined && Math.max(before.value, last.value) <= room;
  return {
    pct: (100 * last.value) / room,
    shift: usable
      ? {
          fromDeg: before.value,
          toDeg: last.value,
          timingShiftDeg: pointsDwell({ cylinders, dwellDeg: before.value, newDwellDeg: last.value, ratio })
            .timingShiftDeg
        }
      : null
  };
}
