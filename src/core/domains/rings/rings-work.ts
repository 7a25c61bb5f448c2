import { verdict, type Verdict } from '../../calculations/verdict/verdict.ts';
import { numberOf, type Engine } from '../../engine/engine.ts';
import type { Replayed } from '../../job/replay.ts';
import { settledOf, type Settled } from '../../job/readings.ts';
import { thicknessOf } from '../stack/stack-work.ts';
import { partsTaken, type Part } from '../../job/taken.ts';

/** The thrust rings under a drive shaft: they lift it to its height, which has limits of its own. */
export interface RingsWork {
  /** height of the shaft with no ring under it */
  bare: Settled | null;
  rings: Part[];
  height: { mm: number; uMm: number; verdict: Verdict | null } | null;
  minMm: number | null;
  maxMm: number | null;
}

export function ringsWork(engine: Engine, r: Replayed): RingsWork {
  const bare = settledOf(r.readings, 'shaft-bare');
  const proved = settledOf(r.readings, 'shaft-height');
  const rings = partsTaken(r, 'ring');
  const stack = thicknessOf(rings);
  const minMm = numberOf(engine, 'shaftHeightMinMm') ?? null;
  const maxMm = numberOf(engine, 'shaftHeightMaxMm') ?? null;
  const mm = proved?.value ?? (bare ? bare.value + (stack?.value ?? 0) : null);
  const uMm = proved?.u ?? Math.hypot(bare?.u ?? 0, stack?.u ?? 0);
  return {
    bare,
    rings,
    minMm,
    maxMm,
    height:
      mm === null
        ? null
        : { mm, uMm, verdict: minMm === null && maxMm === null ? null : verdict(mm, uMm, minMm, maxMm) }
  };
}
