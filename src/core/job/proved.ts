import { surfaceOf, type Fallen, type Open, type JobState, type StepView } from './domain.ts';
import { letterOf, type Letter, type Shortfall } from './proof.ts';
import { reasonsAt } from './reasons.ts';
import { looksOf, slotOf, type FlagWords, type Look, type Step } from './run-sheet.ts';
import { noneToCount, tallyOpen } from './tally.ts';

/** Where a step falls short of proving a state: how, what happens then, and what is open in words. */
export interface Short {
  flag: string | null;
  short: Shortfall;
  letter: Letter;
  what: string;
}

/** The states that a step claims: what it makes true, and the dangers that it says are gone. */
export const provedAt = (step: Pick<Step, 'sets' | 'clears'>, flags: Readonly<Record<string, FlagWords>>): string[] => [
  ...step.sets.filter((f) => !(flags[f]?.proof?.off ?? flags[f]?.danger)),
  ...step.clears.filter((f) => flags[f]?.proof?.off ?? flags[f]?.danger)
];

/** What a state is taken for whose trade says nothing of its proof: refused where it keeps people or machines whole. */
const OTHERWISE = { hard: { letters: 'XXXX' }, soft: { letters: 'XRRR' } };

/** The looks of a step that are owed now: those of a danger that was never there are not. */
export const looksOwed = (state: Pick<JobState, 'flags'>, v: Pick<StepView, 'step'>): readonly Look[] =>
  looksOf(v.step).filter((l) => l.proves.some((f) => !v.step.clears.includes(f) || state.flags.has(f)));

/** What was said to a look: its word, and whether that is a good one; null before anything was. */
export function lookSaid(
  state: Pick<JobState, 'replayed'>,
  look: Look
): { label: string; holds: string | null } | null {
  const said = look.options.find((o) => o.id === state.replayed.chosen.get(look.id));
  return said ? { label: said.label, holds: said.holds ?? null } : null;
}

/** The looks of a step that nobody answered yet, in the order of the hand. */
export const looksOpen = (state: JobState, v: Pick<StepView, 'step'>): readonly Look[] =>
  looksOwed(state, v).filter((l) => lookSaid(state, l) === null);

/**
 * Where a step falls short of what it claims, state by state, the gravest first for each. Empty where all is proved, as far as
 * anything is claimed; a step that claims nothing may still leave something open, which a reason goes on from. What its figures
 * leave open is of what it makes true; of a danger that it takes off only where it makes nothing true.
 */
export function shortsOf(state: JobState, v: StepView): Short[] {
  const { flags } = state.sheet.words;
  const claimed = provedAt(v.step, flags).filter((f) => !v.step.clears.includes(f) || state.flags.has(f));
  const opens = openAt(state, v);
  const out: Short[] = [];
  const add = (flag: string | null, short: Shortfall, what: string, never = false) => {
    const w = flag === null ? undefined : flags[flag];
    const letter = never
      ? 'X'
      : flag === null
        ? 'R'
        : letterOf(w!.proof ?? OTHERWISE[w!.hard ? 'hard' : 'soft'], short);
    if (letter !== '-') out.push({ flag, short, letter, what });
  };
  // figures first: what they say is looked into before anything else is
  const made = claimed.filter((f) => !v.step.clears.includes(f));
  for (const o of opens) {
    const of = o.aside ? [] : o.of ? claimed.filter((f) => o.of!.includes(f)) : made.length > 0 ? made : claimed;
    const along = claimed.filter((f) => of.includes(flags[f]?.proof?.goneWith ?? ''));
    for (const f of [...of, ...along]) add(f, o.short, o.what, o.never);
    if (o.aside) add(null, o.short, o.what);
  }
  for (const f of claimed) {
    for (const l of looksOf(v.step).filter((x) => x.proves.includes(f))) {
      const said = lookSaid(state, l);
      if (said === null) add(f, 'nothing', `${l.question}: not answered`);
      else if (said.holds !== null) add(f, 'out', said.holds);
    }
  }
  if (claimed.length === 0) for (const o of opens) if (!o.aside) add(null, o.short, o.what, o.never);
  return out;
}

/** What the figures and answers of a step leave open, and in which way; empty where they settle it. */
function openAt(state: JobState, v: StepView): readonly Open[] {
  const told = surfaceOf(state.domains, v.step.surface).open?.(state, v) ?? [];
  const own = typeof told === 'string' || 'what' in told ? [told] : told;
  const other = own.length > 0 ? null : (heldBy(state, v.step) ?? tallyOpen(state, v));
  const opens = other === null ? own : [other];
  if (opens.length > 0)
    return opens.map((o) => (typeof o === 'string' ? { what: o, short: shortfallOf(o, state, v) } : o));
  const unnamed = v.step.slots.find((s) => needsGauge(state, v.step, s.slot));
  return unnamed ? [{ short: 'no-gauge', what: `${unnamed.label}: no gauge named` }] : [];
}

/** A figure of a step that decides something was read, and nobody said by which gauge. */
function needsGauge(state: JobState, step: Step, slot: string): boolean {
  const of = step.slots.find((s) => s.slot === slot)!;
  if (of.gauge === 'eye' || (!of.limits && !of.figure)) return false;
  const last = state.readings.findLast((r) => r.step === step.id && slotOf(step, r.slot)?.slot === slot);
  return last !== undefined && last.gauge === null && !noneToCount(state, of);
}

/** In which way what is open is open: by the words that every trade uses for a figure that cannot be decided. */
function shortfallOf(what: string, state: JobState, v: StepView): Shortfall {
  if (/too close to call|cannot be told|do not tell|lie .* apart|disagree|not known|contradict/.test(what))
    return 'undecided';
  const read = state.readings.some((r) => r.step === v.step.id) || v.step.choices.some((c) => !c.proves);
  return read || v.step.slots.length === 0 ? 'out' : 'nothing';
}

/** Why an answer given at a step holds it. */
function heldBy(state: JobState, step: Step): string | null {
  const { chosen } = state.replayed;
  for (const c of step.choices.filter((x) => !x.proves)) {
    const holds = c.options.find((o) => o.id === chosen.get(c.id))?.holds;
    if (holds !== undefined) return holds;
  }
  return null;
}

/**
 * Whether a step is left in spite of this only with a reason: what goes on with one, and what was read and does not decide the
 * state, which then stays off. What was not read, or was seen to be so, is left by Done where it may be left.
 */
export const wantsReason = (s: Short): boolean =>
  s.letter === 'R' || (s.letter === 'K' && (s.short === 'undecided' || s.short === 'no-gauge'));

/** What stands in the way of a step: what no reason goes on from first, then what a reason was not yet given for. */
export function inTheWay(state: JobState, v: StepView): Short | null {
  const shorts = shortsOf(state, v);
  const reasons = reasonsAt(state.replayed.overrides, v.step);
  return shorts.find((s) => s.letter === 'X') ?? shorts.find((s) => wantsReason(s) && !reasons.open(s.what)) ?? null;
}

/** States that were given by steps and are not proved now, and those that stand on a reason alone. */
export interface Unproved {
  /** no longer true, with what took them back; the step is to be done again where `again` */
  fallen: ReadonlyMap<string, Fallen>;
  /** given, or left unproved, with a reason: steps go on with it, what keeps people and machines whole does not count it */
  onWord: ReadonlyMap<string, string>;
}

/** Goes through what steps gave and asks again whether it is proved, as the log stands now. */
export function unproved(state: JobState): Unproved {
  const fallen = new Map<string, Fallen>();
  const onWord = new Map<string, string>();
  const { givenBy, overrides, asked } = state.replayed;
  const byStep = new Map<string, string[]>();
  for (const [f, step] of givenBy) (byStep.get(step) ?? byStep.set(step, []).get(step)!).push(f);
  for (const v of state.steps) {
    const given = byStep.get(v.step.id);
    if (!given || v.mark?.state !== 'done') continue;
    // what it read was of an earlier setting: that is judged where the new one is read
    if (state.readings.some((r) => r.step === v.step.id && r.setting?.earlier)) continue;
    const reasons = reasonsAt(overrides, v.step);
    // the state counts as given while it is asked whether it is: a danger that it took off as still there
    const flags = new Set(state.flags);
    for (const f of given) if (v.step.clears.includes(f)) flags.add(f);
    for (const s of shortsOf({ ...state, flags }, v)) {
      if (s.flag === null || !given.includes(s.flag) || fallen.has(s.flag)) continue;
      // a log from before looks were asked has none of them
      if (
        s.short === 'nothing' &&
        s.letter !== 'K' &&
        looksOf(v.step).some((l) => s.what.startsWith(l.question) && !asked.has(l.id))
      )
        continue;
      const said = reasons.open(s.what);
      if (said && s.letter !== 'X') onWord.set(s.flag, reasons.said!);
      if (said && s.letter === 'R') continue;
      if (s.letter !== 'F')
        fallen.set(s.flag, { step: v.step.id, what: s.what, again: s.letter !== 'K' || (wantsReason(s) && !said) });
    }
  }
  return { fallen, onWord };
}
