import { choiceOf, numberOf, type Engine } from '../engine/engine.ts';
import { readBy } from './readings.ts';
import type { Reading } from './replayed.ts';
import type { SheetPlan } from './run-sheet.ts';

/**
 * The timing that the crank is brought to on a run sheet, degrees before TDC: what was decided on the job, where the sheet
 * has a slot for that, else the value of the data sheet. Undefined where the sheet has none or nobody gave it.
 * @param chosen what was answered on the job, where an answer makes TDC the reference
 */
export function referenceOf(
  sheet: Named,
  engine: Engine,
  readings: readonly Reading[],
  chosen: ReadonlyMap<string, string>
): number | undefined {
  const atTdc = sheet.referenceAtTdc;
  if (atTdc && (chosen.get(atTdc.chosen) ?? choiceOf(engine, atTdc.field)) === atTdc.is) return 0;
  const decided = decidedOn(sheet, readings);
  if (decided) return decided.value;
  return sheet.reference === undefined ? undefined : numberOf(engine, sheet.reference);
}

/** Who says so: the source on the data sheet, or who decided it on the job; null where nobody gave it. */
export function referenceSource(sheet: Named, engine: Engine, readings: readonly Reading[]): string | null {
  const decided = decidedOn(sheet, readings);
  if (decided) return `decided on this job by ${readBy(decided)}`;
  return engine.values[sheet.reference ?? '']?.source ?? null;
}

type Named = Pick<SheetPlan, 'reference' | 'referenceSlot' | 'referenceAtTdc'>;
const decidedOn = ({ referenceSlot }: Named, readings: readonly Reading[]): Reading | undefined =>
  referenceSlot === undefined ? undefined : readings.findLast((r) => r.slot === referenceSlot);
