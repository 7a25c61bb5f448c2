import { fail } from '../errors/catalogue.ts';
import { ok, type Result } from '../errors/result.ts';
import type { Engine } from '../engine/engine.ts';
import { flags, isHard, type FlagId } from '../sheets/flags.ts';
import type { RunSheet, Slot, Step } from './run-sheet.ts';
import { isSchool, waysOf } from '../sheets/school-ways.ts';
import { wordsOf } from './domain.ts';
import type { EventBody, JobEvent } from './events.ts';
import type { Quantity } from '../units/units.ts';
import { possible } from './possible.ts';
import { missingValues, type JobState, type StepView } from './state.ts';

const yes = ok(null);
type Answer = Result<null>;

/**
 * Whether an event may be written to the log as it stands. The screen asks before it offers, the server asks before
 * it writes; both get the same answer. Errors name the step and say what to do instead.
 */
export function admit(state: JobState, engine: Engine, log: readonly JobEvent[], e: EventBody): Answer {
  switch (e.kind) {
    case 'reading':
      return takesReading(state.sheet, e);
    case 'amend': {
      const replaced = state.readings.find((r) => r.id === e.replaces);
      return replaced ? possible(replaced.quantity, e.value) : fail('no-such-reading', 'replaces', {});
    }
    case 'done':
      return withStep(state, e.step, (v) => mayBeDone(state, engine, v));
    case 'skip':
    case 'reopen':
      return withStep(state, e.step, () => yes);
    case 'override': {
      const hard = e.flags.filter((f) => isHard(f));
      if (hard.length > 0) return fail('never-overrule', 'flags', { flags: hard.map(named).join(', ') });
      return withStep(state, e.step, () => yes);
    }
    case 'choose':
      return optionsOf(state, e.school).includes(e.option)
        ? yes
        : fail('no-such-choice', 'option', { what: `${e.school}: ${e.option}` });
    case 'fact':
      return state.sheet.steps.some((s) => s.onlyIf?.fact === e.fact)
        ? yes
        : fail('no-such-choice', 'fact', { what: e.fact });
    case 'target':
      return withStep(state, e.step, () => yes);
    case 'take':
      return withStep(state, e.step, (v) =>
        v.step.takes.includes(e.part)
          ? yes
          : fail('no-such-choice', 'part', { what: `${v.step.title} takes no ${e.part}` })
      );
    case 'undo': {
      const target = log.find((x) => x.id === e.undoes);
      const done = !target || target.kind === 'undo' || state.replayed.undone.has(e.undoes);
      return done ? fail('not-undoable', 'undoes', {}) : yes;
    }
    case 'remark':
    case 'sign':
    case 'say':
    case 'crank':
      return yes;
  }
}

/** What may be answered to a school, or to a question of this run sheet. */
const optionsOf = (state: JobState, id: string): string[] =>
  isSchool(id)
    ? waysOf(id).options
    : (state.sheet.steps.flatMap((s) => s.choices).find((c) => c.id === id)?.options ?? []).map((o) => o.id);

/** `stands-back` and `strobe-again` are further ways to log a slot that repeats. */
const matches = (slot: string, given: string): boolean =>
  given === slot || (given.startsWith(slot) && ['-again', '-back', '-unsure'].includes(given.slice(slot.length)));

function withStep(state: JobState, id: string, then: (v: StepView) => Answer): Answer {
  const v = state.steps.find((s) => s.step.id === id);
  return v ? then(v) : fail('no-such-step', 'step', { step: id });
}

function mayBeDone(state: JobState, engine: Engine, v: StepView): Answer {
  const { step } = v;
  if (v.missing.length > 0 || v.stillOn.length > 0) {
    const needs = [...v.missing.map((f) => flags[f].off), ...v.stillOn.map((f) => flags[f].on)].join(', ');
    return fail('step-blocked', 'step', { step: step.title, needs });
  }
  const values = missingValues(step, engine);
  if (values.length > 0) {
    const what = values.map((n) => lower(state.sheet.labels?.[n] ?? n)).join(', ');
    return fail('values-missing', 'step', { step: step.title, what });
  }
  const unread = unreadSlots(state, step);
  if (unread.length > 0)
    return fail('readings-missing', 'step', { step: step.title, what: unread.map((s) => s.label).join(', ') });
  const open = v.overruled === null ? notSettled(state, v) : null;
  return open === null ? yes : fail('not-proved', 'step', { step: step.title, what: open });
}

/** The figures a step cannot do without and has not got: those of the method chosen, where there are methods. */
function unreadSlots(state: JobState, step: Step): Slot[] {
  const has = (slot: string) => state.readings.some((r) => r.step === step.id && matches(slot, r.slot));
  const needed: readonly string[] =
    step.surface === 'tdc'
      ? state.tdc.slots.filter((s) => s !== 'depth')
      : step.slots.filter((s) => s.required).map((s) => s.slot);
  return step.slots.filter((s) => needed.includes(s.slot) && !has(s.slot));
}

/** What the readings of a step leave open, in words; null when they settle it. A reason overrules it. */
export function notSettled(state: JobState, v: StepView): string | null {
  if (v.step.surface === 'strokes') {
    if (state.signs.length === 0) return 'no sign of the stroke was given';
    if (state.replayed.signsStale) return 'the crank was turned since the signs were given';
    if (state.evidence!.state === 'unsure') return 'the signs do not tell compression from exhaust';
    if (state.evidence!.contradictory) return 'the signs contradict each other';
    return state.signs.length < 2 ? 'one sign alone is provisional, add a second and independent one' : null;
  }
  if (v.step.surface === 'tdc') {
    if (!state.tdc.found)
      return (
        state.tdc.error?.message ??
        (state.tdc.method === 'mark' ? 'no earlier job has proved this mark' : 'the readings are not complete')
      );
    if (state.tdc.fit?.bottomed) return 'the dial seems to have come to the end of its travel';
    return state.tdc.verdict && state.tdc.verdict.state !== 'in' ? 'too close to call' : null;
  }
  const open = wordsOf(v.step.surface).open?.(state, v) ?? null;
  if (open !== null) return open;
  const timing = state.timing[v.step.id];
  if (timing?.latest?.verdict && timing.latest.verdict.state !== 'in')
    return timing.latest.verdict.state === 'out'
      ? 'the last reading is outside the limits'
      : 'the last reading is too close to call';
  return null;
}

const named = (f: FlagId): string => flags[f].on;
const lower = (s: string): string => s.charAt(0).toLowerCase() + s.slice(1);

/** Whether a run sheet has a place for a reading; needs no log, so that logging a figure stays cheap. */
export function takesReading(
  sheet: RunSheet,
  e: { step: string; slot: string; quantity: Quantity; value: number }
): Answer {
  const step = sheet.steps.find((s) => s.id === e.step);
  if (!step) return fail('no-such-step', 'step', { step: e.step });
  const fits = step.slots.some((s) => matches(s.slot, e.slot) && s.quantity === e.quantity);
  return fits ? possible(e.quantity, e.value) : fail('no-such-slot', 'slot', { slot: e.slot, step: step.title });
}
