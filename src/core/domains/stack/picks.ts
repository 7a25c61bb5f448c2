import { stackPick } from '../../calculations/stack/stack-pick.ts';
import type { PartKind, StockItem } from '../../tray/part-kinds.ts';
import type { StackState } from './works.ts';

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

/** A length that pieces of the tray are to bring into its limits. */
export interface ToFill {
  mm: number;
  u: number;
  min: number | null;
  max: number | null;
  target?: number | undefined;
  /** what it is called */
  name: string;
}

/** What a packing fills (the float without any) or a shim takes up (the float that counts); null while it is not measured. */
export function floatToFill(state: StackState, kind: 'packing' | 'shim'): ToFill | null {
  const { stack } = state.work;
  const limits = { min: stack.minMm, max: stack.maxMm, target: stack.targetMm ?? undefined, name: 'end float' };
  if (kind === 'packing') return stack.bare && { mm: stack.bare.floatMm, u: stack.bare.uMm, ...limits };
  return stack.float && { mm: stack.float.mm, u: stack.float.uMm, ...limits };
}

/**
 * Which pieces of the tray to take, best first; null without anything to fill, or limits to fill it to. Packings and
 * rings add; a shim takes float up. The thickness to cut to is offered when no pick is surely in limits.
 */
export function pickPlan(from: ToFill | null, kind: PartKind, stock: readonly StockItem[]): PickPlan | null {
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
    resultName: from.name
  };
}
