import type { StockItem } from '../../tray/part-kinds.ts';
import type { ElementRow } from './elements-work.ts';

/** The pieces of the tray that one tappet gets, and what they leave; lengths in mm, angles in pump degrees. */
export interface TappetPick {
  element: number;
  /** thicker above 0: what its spacing asks for */
  wantMm: number;
  /** pieces that go in; none where shims come out */
  ids: string[];
  sumMm: number;
  leftMm: number;
  /** what that leaves of its error; null where the lift a degree is not known */
  leftDeg: number | null;
}

/** Less than this of a shim is no change: no shim is known better. */
const NOTHING_MM = 1e-6;
/** More pieces than this under one tappet are no stack that lies flat. */
const MOST = 2;

/**
 * Shims for every tappet that is to be thicker, from one tray: the largest change is served first, each by the piece or the pair
 * that comes nearest to it, fewer pieces where two come as near. What is to be thinner is taken out, and needs no piece.
 */
export function tappetPicks(
  rows: readonly ElementRow[],
  stock: readonly StockItem[],
  mmPerDeg: number | undefined
): TappetPick[] {
  const left = new Map(
    stock.filter((s) => s.kind === 'shim' && s.thicknessMm !== null && s.count > 0).map((s) => [s.id, s.count])
  );
  const thick = new Map(stock.map((s) => [s.id, s.thicknessMm ?? 0]));
  const wanted = rows.filter((r) => r.shimMm !== null && Math.abs(r.shimMm) > NOTHING_MM);
  const picks = [...wanted]
    .sort((a, b) => b.shimMm! - a.shimMm!)
    .map((r): TappetPick => {
      const want = r.shimMm!;
      const ids = want > 0 ? nearest(want, left, thick) : [];
      for (const id of ids) left.set(id, left.get(id)! - 1);
      const sumMm = ids.reduce((t, id) => t + thick.get(id)!, 0);
      const leftMm = want > 0 ? want - sumMm : 0;
      return { element: r.element, wantMm: want, ids, sumMm, leftMm, leftDeg: mmPerDeg ? leftMm / mmPerDeg : null };
    });
  // in the order of the elements, as they are read
  return wanted.map((r) => picks.find((p) => p.element === r.element)!);
}

/** The piece or pair nearest to a thickness; no piece where none comes nearer than leaving it. */
function nearest(want: number, left: ReadonlyMap<string, number>, thick: ReadonlyMap<string, number>): string[] {
  const there = [...left].filter(([, n]) => n > 0).map(([id]) => id);
  let best: string[] = [];
  const miss = (ids: string[]) => Math.abs(want - ids.reduce((t, id) => t + thick.get(id)!, 0));
  const consider = (ids: string[]): void => {
    const by = miss(ids) - miss(best);
    if (by < -1e-9 || (Math.abs(by) <= 1e-9 && ids.length < best.length)) best = ids;
  };
  for (const [k, a] of there.entries()) {
    consider([a]);
    if (MOST > 1) for (const b of there.slice(k)) if (a !== b || left.get(a)! > 1) consider([a, b]);
  }
  return best;
}
