import { vacuumHold } from '../../calculations/vacuum/vacuum-hold.ts';
import { vacuumCurveOf, type Engine } from '../../engine/engine.ts';
import type { Reading, Replayed } from '../../job/replayed.ts';
import { lastOf, numberOf } from './vocabulary.ts';

/** Vacuum advance read step by step, and whether the diaphragm holds. */
export interface VacuumWork {
  points: { kpa: Reading; deg: Reading | null; addedDeg: number | null }[];
  curve: { kpa: number; deg: number }[];
  curveFrom: 'read' | 'sheet' | 'none';
  hold: (ReturnType<typeof vacuumHold> & { most: number; rule: boolean }) | null;
}

/** Rule of thumb where the sheet has no figure. */
const LOSS_MOST = 3;

export function vacuumWork(engine: Engine, r: Replayed): VacuumWork {
  const points: VacuumWork['points'] = [];
  for (const x of r.readings) {
    if (x.slot === 'vac-kpa') points.push({ kpa: x, deg: null, addedDeg: null });
    if (x.slot === 'vac-deg' && points.length > 0) points[points.length - 1]!.deg = x;
  }
  // the first is read at no or least depression: what is added counts from it
  const base = points[0]?.deg?.value ?? null;
  for (const p of points) p.addedDeg = p.deg && base !== null ? p.deg.value - base : null;
  const read = points
    .flatMap((p) => (p.addedDeg === null ? [] : [{ kpa: p.kpa.value, deg: p.addedDeg }]))
    .sort((a, b) => a.kpa - b.kpa)
    .filter((p, k, all) => k === 0 || p.kpa > all[k - 1]!.kpa);
  const sheet = vacuumCurveOf(engine);
  const [start, end, seconds] = (['hold-start', 'hold-end', 'hold-seconds'] as const).map(
    (s) => lastOf(r.readings, s)?.value
  );
  const most = numberOf(engine, 'vacuumLossMax');
  return {
    points,
    curve: read.length >= 2 ? read : (sheet ?? []),
    curveFrom: read.length >= 2 ? 'read' : sheet ? 'sheet' : 'none',
    hold:
      start !== undefined && end !== undefined && seconds !== undefined && seconds > 0
        ? {
            ...vacuumHold({ startKpa: start, endKpa: end, seconds, maxLossKpaPerMin: most ?? LOSS_MOST }),
            most: most ?? LOSS_MOST,
            rule: most === undefined
          }
        : null
  };
}

export function vacuumFinding(w: VacuumWork): string | null {
  if (w.hold)
    return w.hold.state === 'in'
      ? `The diaphragm holds: ${w.hold.lossKpaPerMin.toFixed(1)} kPa lost in a minute`
      : `The diaphragm leaks: ${w.hold.lossKpaPerMin.toFixed(1)} kPa lost in a minute`;
  const most = Math.max(...w.points.map((p) => p.addedDeg ?? 0));
  return w.points.length >= 2 && w.points.some((p) => p.addedDeg !== null)
    ? `Vacuum adds ${most.toFixed(1)}° so far`
    : null;
}
