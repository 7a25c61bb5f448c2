import { fail } from '../errors/catalogue.ts';
import { ok, type Result } from '../errors/result.ts';
import type { Engine } from '../engine/engine.ts';
import type { Quantity } from '../units/units.ts';
import { surfaceOf, type JobState, type StepView } from './domain.ts';
import type { EventBody, JobEvent } from './events.ts';
import { possible } from './possible.ts';
import { labelOf, slotOf, type RunSheet, type Slot, type Step } from './run-sheet.ts';
import { missingValues } from './state.ts';
import { lower } from './texts.ts';

const yes = ok(null);
type Answer = Result<null>;

/**
 * Whether an event may be written to the log as it stands. The screen asks before it offers, the server asks before
 * it writes; both get the same answer. Errors name the step and say what to do instead.
 */
export function admit(state: JobState, engine: Engine, log: readonly JobEvent[], e: EventBody): Answer {
  const { flags } = state.sheet.words;
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
      const strange = e.flags.find((f) => !flags[f]);
      if (strange !== undefined) return fail('no-such-choice', 'flags', { what: strange });
      const hard = e.flags.filter((f) => flags[f]!.hard);
      if (hard.length > 0) return fail('never-overrule', 'flags', { flags: hard.map((f) => flags[f]!.on).join(', ') });
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
    case 'say':
      return flags[e.flag] ? yes : fail('no-such-choice', 'flag', { what: e.flag });
    case 'remark':
    case 'sign':
    case 'crank':
      return yes;
  }
}

/** What may be answered to a school, or to a question of this run sheet. */
const optionsOf = (state: JobState, id: string): string[] => {
  const school = Object.hasOwn(state.sheet.words.schools, id) ? state.sheet.words.schools[id] : undefined;
  const question = state.sheet.steps.flatMap((s) => s.choices).find((c) => c.id === id);
  return (school?.options ?? question?.options ?? []).map((o) => o.id);
};

function withStep(state: JobState, id: string, then: (v: StepView) => Answer): Answer {
  const v = state.steps.find((s) => s.step.id === id);
  return v ? then(v) : fail('no-such-step', 'step', { step: id });
}

function mayBeDone(state: JobState, engine: Engine, v: StepView): Answer {
  const { step } = v;
  const { flags } = state.sheet.words;
  if (v.missing.length > 0 || v.stillOn.length > 0) {
    const needs = [...v.missing.map((f) => flags[f]!.off), ...v.stillOn.map((f) => flags[f]!.on)].join(', ');
    return fail('step-blocked', 'step', { step: step.title, needs });
  }
  const values = missingValues(step, engine);
  if (values.length > 0) {
    const what = values.map((n) => lower(labelOf(state.sheet, n))).join(', ');
    return fail('values-missing', 'step', { step: step.title, what });
  }
  const unread = unreadSlots(state, step);
  if (unread.length > 0)
    return fail('readings-missing', 'step', { step: step.title, what: unread.map((s) => s.label).join(', ') });
  const open = v.overruled === null ? notSettled(state, v) : null;
  return open === null ? yes : fail('not-proved', 'step', { step: step.title, what: open });
}

/** The figures a step cannot do without and has not got: those of the way chosen, where there are ways. */
function unreadSlots(state: JobState, step: Step): Slot[] {
  const read = new Set(state.readings.flatMap((r) => (r.step === step.id ? (slotOf(step, r.slot)?.slot ?? []) : [])));
  const needed =
    surfaceOf(state.domains, step.surface).required?.(state) ?? step.slots.filter((s) => s.required).map((s) => s.slot);
  return step.slots.filter((s) => needed.includes(s.slot) && !read.has(s.slot));
}

/** What the readings of a step leave open, in words; null when they settle it. A reason overrules it. */
export const notSettled = (state: JobState, v: StepView): string | null =>
  surfaceOf(state.domains, v.step.surface).open?.(state, v) ?? null;

/** Whether a run sheet has a place for a reading; needs no log, so that logging a figure stays cheap. */
export function takesReading(
  sheet: RunSheet,
  e: { step: string; slot: string; quantity: Quantity; value: number }
): Answer {
  const step = sheet.steps.find((s) => s.id === e.step);
  if (!step) return fail('no-such-step', 'step', { step: e.step });
  return slotOf(step, e.slot)?.quantity === e.quantity
    ? possible(e.quantity, e.value)
    : fail('no-such-slot', 'slot', { slot: e.slot, step: step.title });
}
