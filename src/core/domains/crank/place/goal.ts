import type { Engine } from '../../../engine/engine.ts';
import { referenceOf } from '../../../job/reference.ts';
import type { Reading, Replayed } from '../../../job/replayed.ts';
import type { RunSheet, Step } from '../../../job/run-sheet.ts';

/** Where a step brings the crank: its own goal, or the reference where it shows the way there. */
export const goalOf = (step: Pick<Step, 'goal' | 'surface'>): Step['goal'] =>
  step.goal ?? (step.surface === 'plan' ? 'reference' : step.surface === 'make-scale' ? 'tdc' : undefined);

/**
 * Where a step brings the crank, degrees after firing TDC, as it was known when an event of this number was written;
 * null where the step brings it nowhere or the value of the reference is missing.
 */
export function goalDegOf(
  sheet: RunSheet,
  engine: Engine,
  r: Pick<Replayed, 'chosen'> & { readings: readonly Reading[] },
  step: Pick<Step, 'goal' | 'surface'>,
  untilSeq = Infinity
): number | null {
  const goal = goalOf(step);
  if (goal === undefined) return null;
  if (goal !== 'reference') return 0;
  const known = untilSeq === Infinity ? r.readings : r.readings.filter((x) => x.seq < untilSeq);
  const reference = referenceOf(sheet, engine, known, r.chosen);
  return reference === undefined ? null : -reference;
}
