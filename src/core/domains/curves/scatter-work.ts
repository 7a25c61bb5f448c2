import type { Engine } from '../../engine/engine.ts';
import type { Reading, Replayed } from '../../job/replayed.ts';
import { numberOf } from './vocabulary.ts';

/** Scatter seen at steady speeds against what float and backlash explain. */
export interface ScatterWork {
  rows: { rpm: Reading; spread: Reading | null }[];
  worstDeg: number | null;
  mostDeg: number | null;
  explainedDeg: number | null;
  /** what explains it, and the day its float was measured */
  explainedBy: string | null;
  explainedAt: string | null;
}

/** What the drive lets the timing wander, degrees of the crank: by what, and when its float was measured. */
export interface DriveWander {
  deg: number;
  by: string;
  at: string;
}

export function scatterWork(engine: Engine, r: Replayed, wander: DriveWander | null): ScatterWork {
  const rows: ScatterWork['rows'] = [];
  for (const x of r.readings) {
    if (x.slot === 'spread-rpm') rows.push({ rpm: x, spread: null });
    if (x.slot === 'spread' && rows.length > 0) rows[rows.length - 1]!.spread = x;
  }
  const spreads = rows.flatMap((x) => (x.spread ? [x.spread.value] : []));
  return {
    rows,
    worstDeg: spreads.length ? Math.max(...spreads) : null,
    mostDeg: numberOf(engine, 'scatterMaxDeg') ?? null,
    explainedDeg: wander?.deg ?? null,
    explainedBy: wander?.by ?? null,
    explainedAt: wander?.at ?? null
  };
}

export function scatterFinding(w: ScatterWork): string | null {
  if (w.worstDeg === null) return null;
  const seen = `The timing scatters by ${w.worstDeg.toFixed(1)}°${w.mostDeg === null ? '' : ` (${w.mostDeg}° may be)`}`;
  if (w.explainedDeg === null) return `${seen}; what the drive explains is not known: measure its float`;
  return w.worstDeg <= w.explainedDeg + 0.25
    ? `${seen}: ${w.explainedBy} explains up to ${w.explainedDeg.toFixed(1)}°`
    : `${seen}, more than ${w.explainedBy} explains (${w.explainedDeg.toFixed(1)}°): look at the bush, the lobes and the gear`;
}
