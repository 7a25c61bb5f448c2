import type { Verdict } from '../../calculations/verdict/verdict.ts';
import type { Engine } from '../../engine/engine.ts';
import { judge, judgedSlot, limitsOf } from '../../job/judged.ts';
import type { Settled } from '../../job/readings.ts';
import type { Replayed } from '../../job/replayed.ts';
import { partsTaken } from '../../job/taken.ts';
import type { Part } from '../../tray/part-kinds.ts';
import type { ToFill } from '../stack/picks.ts';
import { thicknessOf } from '../stack/stack-work.ts';
import { slots } from './slots.ts';
import { settledOf } from './vocabulary.ts';

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
  const rings = partsTaken(r, 'ring');
  const stack = thicknessOf(rings);
  const { min: minMm, max: maxMm } = limitsOf(engine, slots['shaft-height']);
  // read again on its rings, the height is what was read; before that it is the sum
  const height =
    judgedSlot(engine, r.readings, slots['shaft-height']) ??
    (bare &&
      judge(engine, slots['shaft-height'], {
        value: bare.value + (stack?.value ?? 0),
        u: Math.hypot(bare.u, stack?.u ?? 0),
        n: bare.n
      }));
  return {
    bare,
    rings,
    minMm,
    maxMm,
    height: height && { mm: height.value, uMm: height.u, verdict: height.verdict }
  };
}

/** What rings fill: the height with none; null while it is not read. */
export const heightToFill = ({ bare, minMm, maxMm }: RingsWork): ToFill | null =>
  bare && { mm: bare.value, u: bare.u, min: minMm, max: maxMm, name: 'shaft height' };
