import { stackPick } from '../../calculations/stack/stack-pick.ts';
import type { JobState } from '../../job/state.ts';
import type { PartKind } from '../../job/run-sheet.ts';
import type { StockItem } from '../../job/taken.ts';

export interface PickPlan {
  currentMm: number;
  uMm: number;
  minMm: number | null;
  maxMm: number | null;
  idealMm: number;
  picks: ReturnType<typeof stackPick>['picks'];
  /** none of the tray is surely in limits: cut one to this */
  cutToMm: number | null;
  resultName: string;
}

/**
 * Which pieces of the tray to take at a step, best first; null while what they are to fill is not measured.
 * Packings and rings add; a shim takes float up. The thickness to cut to is offered when no pick is surely in limits.
 */
export function pickPlan(state: JobState, kind: PartKind, stock: readonly StockItem[]): PickPlan | null {
  const { stack, rings } = state.work;
  const from =
    kind === 'ring'
      ? rings.bare && { mm: rings.bare.value, u: rings.bare.u, min: rings.minMm, max: rings.maxMm, target: undefined }
      : kind === 'packing'
        ? stack.bare && {
            mm: stack.bare.floatMm,
            u: stack.bare.uMm,
            min: stack.minMm,
            max: stack.maxMm,
            target: stack.targetMm ?? undefined
          }
        : stack.float && {
            mm: stack.float.mm,
            u: stack.float.uMm,
            min: stack.minMm,
            max: stack.maxMm,
            target: stack.targetMm ?? undefined
          };
  if (!from || (from.target === undefined && (from.min === null || from.max === null))) return null;
  const tray = stock
    .filter((s) => s.kind === kind && s.thicknessMm !== null && s.count > 0)
    .map((s) => ({ id: s.id, thicknessMm: s.thicknessMm!, uMm: s.uMm ?? 0, count: s.count }));
  const { idealMm, picks } = stackPick({
    currentMm: from.mm,
    uMm: from.u,
    spec: { minMm: from.min, maxMm: from.max, ...(from.target === undefined ? {} : { targetMm: from.target }) },
    sense: kind === 'shim' ? -1 : 1,
    tray,
    maxPieces: 3
  });
  return {
    currentMm: from.mm,
    uMm: from.u,
    minMm: from.min,
    maxMm: from.max,
    idealMm,
    picks,
    cutToMm: picks[0]?.verdict.state === 'in' || idealMm <= 0 ? null : idealMm,
    resultName: kind === 'ring' ? 'shaft height' : 'end float'
  };
}
