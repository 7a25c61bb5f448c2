import type { Advised } from './advised.ts';
import { surfaceOf, type JobState, type StepView } from './domain.ts';
import { asRead, judgedRows } from './judged.ts';
import { adviseSetting } from './setting-advice.ts';

/**
 * What to do next at a step, as data: what its headline says in words, for whoever does not read words (an instrument, a
 * simulated hand). Null: nothing but what the step asks for anyway.
 */
export function adviceAt(state: JobState, v: StepView): Advised | null {
  const own = surfaceOf(state.domains, v.step.surface).advice;
  if (own) return own(state, v);
  return v.step.finds ? null : judgedAdvice(state, v);
}

/** Of a step whose figures are judged by themselves: the last that was read, turned where it is set at this step. */
function judgedAdvice(state: JobState, v: StepView): Advised | null {
  const row = judgedRows(state, v.step).findLast((x) => x.judged);
  if (!row?.judged || row.judged.unproved) return null;
  const { slot, judged } = row;
  const verdict = judged.verdict?.state ?? null;
  const target = slot.of && v.step.adjusts?.includes(slot.of) ? judged.target : null;
  const act = adviseSetting(asRead(state.readings, slot, judged), judged.verdict, { ...judged, target });
  if (act === 'turn') return { act: 'turn', what: slot.of!, target, slot: slot.slot, verdict };
  return { act: act === 'again' ? 'again' : 'leave', slot: slot.slot, verdict };
}
