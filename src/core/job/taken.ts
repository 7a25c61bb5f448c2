import type { Part, PartKind } from '../tray/part-kinds.ts';
import type { Replayed } from './replayed.ts';

/** What was taken for a kind of part on this job: the last take counts, the ones before went back. */
export function partsTaken(r: Replayed, kind: PartKind): Part[] {
  const last = r.takes.findLast((t) => t.part === kind);
  return last ? last.parts : [];
}
