import { numberOf, type Engine } from '../engine/engine.ts';
import type { Reading } from './replayed.ts';
import type { SheetPlan } from './run-sheet.ts';

/**
 * The timing that the crank is brought to on a run sheet, degrees before TDC: what was decided on the job, where the sheet
 * has a slot for that, else the value of the data sheet. Undefined where the sheet has none or nobody gave it.
 */
export function referenceOf(
  sheet: Pick<SheetPlan, 'reference' | 'referenceSlot'>,
  engine: Engine,
  readings: readonly Reading[]
): number | undefined {
  const decided = sheet.referenceSlot && readings.findLast((r) => r.slot === sheet.referenceSlot);
  if (decided) return decided.value;
  return sheet.reference === undefined ? undefined : numberOf(engine, sheet.reference);
}
