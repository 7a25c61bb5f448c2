import type { PartKind } from './run-sheet.ts';
import type { Replayed } from './replay.ts';

/** A part as it was when it was taken out of the tray; a later measurement of its fellows does not reach back. */
export interface Part {
  id: string;
  name: string;
  kind: PartKind;
  /** what has a thickness: packing, shim, ring, gasket */
  thicknessMm: number | null;
  uMm: number | null;
  /** a spring, as it was rated */
  rateNPerMm: number | null;
  uRate: number | null;
  preloadN: number | null;
  /** a stop: the advance it allows, crank degrees */
  deg: number | null;
}

/** A kind of part in the tray, with how many of it are left. */
export interface StockItem extends Part {
  count: number;
  /** at this many or fewer it is running out */
  low: number;
}

/** What was taken for a kind of part on this job: the last take counts, the ones before went back. */
export function partsTaken(r: Replayed, kind: PartKind): Part[] {
  const last = r.takes.findLast((t) => t.part === kind);
  return last ? last.parts : [];
}
