import { fail } from '../errors/catalogue.ts';
import { ok, type Result } from '../errors/result.ts';
import type { Engine } from '../engine/engine.ts';
import type { Quantity } from '../units/units.ts';
import { surfaceOf, type JobState, type StepView } from './domain.ts';
import type { EventBody, EventOf, JobEvent } from './events.ts';
import { possible } from './possible.ts';
import { reasonsAt } from './reasons.ts';
import { forbidding, putRight, ruleText } from './rules.ts';
import type { Act } from './acts.ts';
import { labelOf, slotOf, type RunSheet, type Slot, type Step } from './run-sheet.ts';
import { missingValues } from './state.ts';
import { noneToCount, tallyOpen } from './tally.ts';
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
    case 'reading': {
      const taken = takesReading(state.sheet, e);
      return taken.ok
        ? withStep(state, e.step, (v) => free(state, v.step.id, slotOf(v.step, e.slot)?.acts ?? []))
        : taken;
    }
    case 'amend': {
      const replaced = state.readings.find((r) => r.id === e.replaces);
      return replaced ? possible(replaced.quantity, e.value) : fail('no-such-reading', 'replaces', {});
    }
    case 'done':
      return withStep(state, e.step, (v) => mayBeDone(state, engine, v));
    case 'photo':
    case 'skip':
    case 'reopen':
      return withStep(state, e.step, () => yes);
    case 'override': {
      const strange = e.flags.find((f) => !flags[f]);
      if (strange !== undefined) return fail('no-such-choice', 'flags', { what: strange });
      return withStep(state, e.step, (v) => mayBeOverruled(state, v, e));
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
      return maySay(state, e);
    case 'happened':
      return state.raised.some((r) => r.id === e.rule) ? yes : fail('no-such-rule', 'rule', {});
    case 'lift':
      return state.flags.has('gear-meshed') ? yes : fail('nothing-to-lift', 'kind', {});
    case 'crank':
      return free(state, null, e.move === 'backward' ? ['turns-crank', 'turns-back'] : ['turns-crank']);
    case 'went':
      return hasReading(state, e.reading);
    case 'turned':
      return e.reading === undefined
        ? withStep(state, e.step, () => yes)
        : withStep(state, e.step, () => hasReading(state, e.reading!));
    case 'remark':
    case 'sign':
      return yes;
  }
}

const hasReading = (state: JobState, id: string): Answer =>
  state.readings.some((r) => r.id === id) ? yes : fail('no-such-reading', 'reading', {});

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

/**
 * Whether nothing that is raised forbids these deeds now. Harm to a person or a machine refuses them; harm to the result
 * lets them go with a reason, which was given for this step.
 */
function free(state: JobState, step: string | null, acts: readonly Act[]): Answer {
  if (acts.length === 0) return yes;
  const at = state.sheet.steps.find((s) => s.id === step);
  const rule = forbidding(state.raised, acts, at ? reasonsAt(state.replayed.overrides, at).rules : new Set());
  if (!rule) return yes;
  const { never } = ruleText(rule);
  const facts = { never, because: rule.because, first: putRight(rule, state.sheet.words.flags).replace(/\.$/, '') };
  // a crank that was turned is no step that a reason could be given for: it is said at the bar
  return fail(rule.harm === 'result' && step !== null ? 'only-with-reason' : 'never-while', 'step', facts);
}

/** The rules that a reason lets go at this step now: what they forbid harms the result alone. */
export const reasonable = (state: JobState, step: Step): string[] =>
  state.raised.filter((r) => r.harm === 'result' && r.forbids.some((a) => step.acts.includes(a))).map((r) => r.id);

/**
 * A reason goes on without a state that the step needs, against a rule whose harm is to the result, or from what is left open
 * as it is open now; never without a hard state, and never from what would make one true.
 */
function mayBeOverruled(
  state: JobState,
  v: StepView,
  e: Pick<EventOf<'override'>, 'flags' | 'rules' | 'open'>
): Answer {
  const { flags } = state.sheet.words;
  const { needs, mustBeOff, sets, title } = v.step;
  const hard = [...e.flags, ...(e.open === undefined ? [] : sets)].filter((f) => flags[f]!.hard);
  // of a pair of words the one that must become true is asked for, never the other
  const first = hard.map((f) => (flags[f]!.danger ? flags[f]!.off : flags[f]!.on));
  if (first.length > 0) return fail('never-overrule', 'flags', { flags: first.join(', ') });
  const strange = e.flags.find((f) => !needs.includes(f) && !mustBeOff.includes(f));
  if (strange !== undefined) return fail('no-such-choice', 'flags', { what: `${title}: ${strange}` });
  for (const id of e.rules ?? []) {
    const rule = state.raised.find((r) => r.id === id);
    if (!rule) return fail('no-such-rule', 'rules', {});
    if (rule.harm !== 'result')
      return fail('never-while', 'rules', {
        never: ruleText(rule).never,
        because: rule.because,
        first: putRight(rule, flags)
      });
  }
  if (e.open === undefined) return yes;
  const open = notSettled(state, v);
  if (open === null) return fail('nothing-open', 'open', { step: title });
  return open === e.open ? yes : fail('open-otherwise', 'open', { step: title, what: open });
}

/** A state said by hand: one that keeps people or machines whole is said with what was seen, or comes from its step alone. */
function maySay(state: JobState, e: { flag: string; on: boolean; seen?: string }): Answer {
  const f = state.sheet.words.flags[e.flag];
  if (!f) return fail('no-such-choice', 'flag', { what: e.flag });
  const makesSafe = f.danger ? !e.on : e.on;
  if (!f.hard || !makesSafe) return yes;
  const words = f.danger ? f.off : f.on;
  const giver = state.sheet.steps.find((s) => (f.danger ? s.clears : s.sets).includes(e.flag));
  if (f.counted && giver) return fail('only-by-its-step', 'flag', { state: words, step: giver.title });
  return e.seen === undefined ? fail('say-what-was-seen', 'seen', { state: words }) : yes;
}

function mayBeDone(state: JobState, engine: Engine, v: StepView): Answer {
  const { step } = v;
  const { flags } = state.sheet.words;
  const allowed = free(state, step.id, step.acts);
  if (!allowed.ok) return allowed;
  if (v.missing.length > 0 || v.stillOn.length > 0) {
    const needs = [...v.missing.map((f) => flags[f]!.on), ...v.stillOn.map((f) => flags[f]!.off)].join(', ');
    return fail('step-blocked', 'step', { step: step.title, needs });
  }
  const values = missingValues(step, engine);
  if (values.length > 0) {
    const what = values.map((n) => lower(labelOf(state.sheet, n))).join('; ');
    return fail('values-missing', 'step', { step: step.title, what });
  }
  const unread = unreadSlots(state, step);
  if (unread.length > 0)
    return fail('readings-missing', 'step', { step: step.title, what: unread.map((s) => s.label).join('; ') });
  const missing = tallyOpen(state, v, true);
  if (missing !== null) return fail('count-open', 'step', { what: missing });
  const open = notSettled(state, v);
  const reasons = reasonsAt(state.replayed.overrides, step);
  return open === null || reasons.open(open) ? yes : fail('not-proved', 'step', { step: step.title, what: open });
}

/** The figures a step cannot do without and has not got: those of the way chosen, where there are ways. */
function unreadSlots(state: JobState, step: Step): Slot[] {
  const read = new Set(state.readings.flatMap((r) => (r.step === step.id ? (slotOf(step, r.slot)?.slot ?? []) : [])));
  const needed =
    surfaceOf(state.domains, step.surface).required?.(state) ?? step.slots.filter((s) => s.required).map((s) => s.slot);
  return step.slots.filter((s) => needed.includes(s.slot) && !read.has(s.slot) && !noneToCount(state, s));
}

/** What the readings and answers of a step leave open, in words; null when they settle it. A reason for just this goes on from it. */
export const notSettled = (state: JobState, v: StepView): string | null =>
  surfaceOf(state.domains, v.step.surface).open?.(state, v) ?? heldBy(state, v.step) ?? tallyOpen(state, v);

/** Why an answer given at a step holds it. */
function heldBy(state: JobState, step: Step): string | null {
  const { chosen } = state.replayed;
  for (const c of step.choices) {
    const holds = c.options.find((o) => o.id === chosen.get(c.id))?.holds;
    if (holds !== undefined) return holds;
  }
  return null;
}

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
