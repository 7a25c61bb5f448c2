import type { RunSheet, Slot } from './run-sheet.ts';

const known = new WeakMap<RunSheet, Set<string>>();
/** The slots that something else on the run sheet is counted against. */
export function countedAgainst(sheet: RunSheet): Set<string> {
  const made = known.get(sheet) ?? slotsCounted(sheet);
  known.set(sheet, made);
  return made;
}

const slotsCounted = (sheet: RunSheet): Set<string> =>
  new Set(
    sheet.steps.flatMap((s) => s.slots.flatMap((x) => [x.countsBack?.slot, x.eachOf])).filter((x) => x !== undefined)
  );

/** Whether a slot is a running count: what it came to last stands at its step, and nothing of the way there. */
export const isRunning = (sheet: RunSheet, slot: Slot | undefined): boolean =>
  slot !== undefined &&
  slot.eachOf === undefined &&
  (slot.countsBack !== undefined || countedAgainst(sheet).has(slot.slot));
