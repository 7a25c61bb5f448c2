import { fail } from '../errors/catalogue.ts';
import { ok, type Result } from '../errors/result.ts';
import type { Engine } from '../engine/engine.ts';
import type { Quantity } from '../units/units.ts';
import { surfaceOf, type JobState, type StepView } from './domain.ts';
import type { EventBody, EventOf, JobEvent } from './events.ts';
import { possible } from './possible.ts';
import { reasonsAt } from './reasons.ts';
import { inTheWay, provedAt, shortsOf, wantsReason } from './proved.ts';
import { forbidding, putRight, ruleText } from './rules.ts';
import type { Act } from './acts.ts';
import { labelOf, onlyMeasured, saidWithSight, slotOf, type RunSheet, type Slot, type Step } from './run-sheet.ts';
import { jobState, missingValues } from './state.ts';
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
  if (state.closed && e.kind !== 'remark') return mayBeOpened(state, e);
  const said = reasonOf(e);
  if (said !== null && !saysSomething(said)) return fail('says-nothing', 'reason', {});
  switch (e.kind) {
    case 'reading': {
      const taken = takesReading(state.sheet, e);
      return taken.ok
        ? withStep(state, e.step, (v) => free(state, v.step.id, slotOf(v.step, e.slot)?.acts ?? []))
        : taken;
    }
    case 'amend': {
      const replaced = state.readings.find((r) => r.id === e.replaces);
      if (!replaced) return fail('no-such-reading', 'replaces', {});
      return hooksOn(log, e) ? possible(replaced.quantity, e.value) : fail('no-such-reading', 'basis', {});
    }
    case 'done':
      return withStep(state, e.step, (v) => mayBeDone(state, engine, v));
    case 'photo':
    case 'reopen':
      return withStep(state, e.step, () => yes);
    case 'skip':
      return withStep(state, e.step, (v) => maySkip(state, v));
    case 'override': {
      const strange = e.flags.find((f) => !Object.hasOwn(flags, f));
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
      return done ? fail('not-undoable', 'undoes', {}) : mayBeUndone(state, engine, log, e);
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
      return e.step === undefined ? yes : withStep(state, e.step, () => yes);
    case 'sign':
      return yes;
  }
}

/**
 * Whether an event is admitted in the same way whatever readings came before it: a figure that is no deed, such as a point of
 * a sweep. Nothing that is raised forbids it, and no reading closes a job.
 */
export const admittedAlike = (sheet: RunSheet, e: EventBody): boolean => {
  if (e.kind !== 'reading') return false;
  const step = sheet.steps.find((s) => s.id === e.step);
  return step !== undefined && (slotOf(step, e.slot)?.acts ?? []).length === 0;
};

/** The words with which something is let go, where an event has some. */
const reasonOf = (e: EventBody): string | null =>
  e.kind === 'skip' || e.kind === 'override' || e.kind === 'amend'
    ? e.reason
    : e.kind === 'say'
      ? (e.seen ?? null)
      : e.kind === 'reopen'
        ? (e.reason ?? null)
        : null;

/** A full stop, a space or one letter is no reason, and nothing that was seen. */
const saysSomething = (text: string): boolean => (text.match(/[\p{L}\p{N}]/gu)?.length ?? 0) >= 3;

/** A closed job takes remarks, and is opened again at its last step with a reason. */
function mayBeOpened(state: JobState, e: EventBody): Answer {
  const closing = state.sheet.steps.find((s) => s.acts.includes('closes-log'))!;
  if (e.kind !== 'reopen' || e.step !== closing.id) return fail('job-closed', 'kind', { step: closing.title });
  return e.reason !== undefined && saysSomething(e.reason) ? yes : fail('says-nothing', 'reason', {});
}

/** Whether an amendment hooks on something that was said of this very reading. */
const hooksOn = (log: readonly JobEvent[], e: EventOf<'amend'> | Extract<EventBody, { kind: 'amend' }>): boolean => {
  const mine = new Set([
    e.replaces,
    ...log.flatMap((x) => (x.kind === 'amend' && x.replaces === e.replaces ? [x.id] : []))
  ]);
  for (const x of log) if (x.kind === 'undo' && mine.has(x.undoes)) mine.add(x.id);
  return mine.has(e.basis);
};

/** What secures an engine is never skipped while it is not so; a step that may not be needed at all is asked about instead. */
function maySkip(state: JobState, v: StepView): Answer {
  const { flags } = state.sheet.words;
  const lacks = provedAt(v.step, flags).find((f) => {
    const { proof, danger, always } = flags[f]!;
    const off = proof?.off || danger;
    return always === true && !off && proof?.harm === 'person' && !state.flags.has(f);
  });
  if (lacks === undefined || v.asks) return yes;
  const w = flags[lacks]!;
  return fail('never-skipped', 'step', { step: v.step.title, state: w.proof!.off ? w.off : w.on });
}

/** An undo takes back a slip of the pen: it stops no engine, isolates no battery, and makes no state true that keeps people whole. */
function mayBeUndone(state: JobState, engine: Engine, log: readonly JobEvent[], e: { undoes: string }): Answer {
  const { flags } = state.sheet.words;
  const undone = log.find((x) => x.id === e.undoes)!;
  // a figure that was taken back or put right proves what it proves
  if (undone.kind === 'reading' || undone.kind === 'amend') return yes;
  const last = log[log.length - 1]!;
  const undo: JobEvent = { kind: 'undo', undoes: e.undoes, id: '', seq: last.seq + 1, at: last.at, by: last.by };
  const after = jobState(state.sheet, engine, [...log, undo], state.domains);
  const made = Object.keys(flags).find((f) => {
    const w = flags[f]!;
    const safe = w.danger ? !after.flags.has(f) : after.flags.has(f);
    const before = w.danger ? !state.flags.has(f) : state.flags.has(f);
    return w.hard === true && safe && !before;
  });
  if (made === undefined) return yes;
  const w = flags[made]!;
  return fail('undo-makes-safe', 'undoes', { state: w.danger ? w.off : w.on });
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
  const { needs, mustBeOff, title } = v.step;
  const hard = e.flags.filter((f) => flags[f]!.hard);
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
  const shorts = shortsOf(state, v);
  const never = shorts.find((x) => x.letter === 'X');
  if (never) return fail('not-proved', 'open', { step: title, what: never.what });
  const open = inTheWay(state, v)?.what ?? shorts.find(wantsReason)?.what;
  if (open === undefined) return fail('nothing-open', 'open', { step: title });
  return shorts.some((x) => wantsReason(x) && x.what === e.open)
    ? yes
    : fail('open-otherwise', 'open', { step: title, what: open });
}

/** A state said by hand: one that keeps people or machines whole is said with what was seen, or comes from its step alone. */
function maySay(state: JobState, e: { flag: string; on: boolean; seen?: string }): Answer {
  const { flags } = state.sheet.words;
  const f = Object.hasOwn(flags, e.flag) ? flags[e.flag] : undefined;
  if (!f) return fail('no-such-choice', 'flag', { what: e.flag });
  const off = f.proof?.off ?? f.danger;
  if (e.on === off) return yes;
  const words = off ? f.off : f.on;
  const giver = state.steps.find(
    (v) => (v.state !== 'not-needed' || v.step.onlyWay) && provedAt(v.step, flags).includes(e.flag)
  )?.step;
  if (!saidWithSight(f)) return yes;
  // what a figure proves is not said; what is seen is said with what was seen
  if (giver && onlyMeasured(f)) return fail('only-by-its-step', 'flag', { state: words, step: giver.title });
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
  const values = missingValues(step, engine, state.replayed.chosen);
  if (values.length > 0) {
    const what = values.map((n) => lower(labelOf(state.sheet, n))).join('; ');
    return fail('values-missing', 'step', { step: step.title, what });
  }
  const unread = unreadSlots(state, step);
  if (unread.length > 0)
    return fail('readings-missing', 'step', { step: step.title, what: unread.map((s) => s.label).join('; ') });
  const missing = tallyOpen(state, v, true);
  if (missing !== null) return fail('count-open', 'step', { what: missing });
  const short = inTheWay(state, v);
  if (short) return fail('not-proved', 'step', { step: step.title, what: short.what });
  return step.acts.includes('closes-log') ? mayBeClosed(state, v) : yes;
}

/** A job is closed once every step is done, or skipped with its reason, and nothing dangerous is left on. */
function mayBeClosed(state: JobState, last: StepView): Answer {
  const left = state.steps.filter((v) => v !== last && !['done', 'skipped', 'not-needed'].includes(v.state));
  if (left.length > 0)
    return fail('step-blocked', 'step', {
      step: last.step.title,
      needs: `${left
        .map((v) => `\u201c${v.step.title}\u201d`)
        .slice(0, 3)
        .join(', ')}${left.length > 3 ? ` and ${left.length - 3} more steps` : ''}`
    });
  return yes;
}

/** The figures a step cannot do without and has not got: those of the way chosen, where there are ways. */
function unreadSlots(state: JobState, step: Step): Slot[] {
  const read = new Set(state.readings.flatMap((r) => (r.step === step.id ? (slotOf(step, r.slot)?.slot ?? []) : [])));
  const needed =
    surfaceOf(state.domains, step.surface).required?.(state) ?? step.slots.filter((s) => s.required).map((s) => s.slot);
  return step.slots.filter((s) => needed.includes(s.slot) && !read.has(s.slot) && !noneToCount(state, s));
}

/** What a step leaves open, in words; null when it is settled. A reason for just this goes on from it, where one may. */
export const notSettled = (state: JobState, v: StepView): string | null =>
  (inTheWay(state, v) ?? shortsOf(state, v).find((x) => x.letter === 'X' || wantsReason(x)))?.what ?? null;

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
