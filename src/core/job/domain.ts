import type { Engine } from '../engine/engine.ts';
import type { Advised } from './advised.ts';
import type { ParsedReading } from '../calculations/reading/reading-parse.ts';
import type { GaugeKind } from '../tray/gauge-kinds.ts';
import type { JobEvent } from './events.ts';
import type { Shortfall } from './proof.ts';
import type { Reading, Replayed, StepMark } from './replayed.ts';
import type { Rule } from './rule.ts';
import type { RunSheet, Slot, Step } from './run-sheet.ts';
import type { SettledFigure } from './settled.ts';
import type { LengthText } from './texts.ts';

/* eslint-disable @typescript-eslint/no-explicit-any -- a list of domains holds workings of every shape */

export interface Aim {
  slot: Slot;
  /** the slot as it will be logged: `strobe-again` repeats the last setting */
  as: string;
  /** which of several it is, and what several of them are; null where they are not counted */
  n: number | null;
  counts?: 'pair' | 'reading';
}

export type StepState = 'done' | 'skipped' | 'repeat' | 'open' | 'blocked' | 'not-needed';

export interface StepView {
  step: Step;
  state: StepState;
  mark: StepMark | null;
  /** flags that must hold first and do not, unless overruled */
  missing: string[];
  /** dangers that must be gone first */
  stillOn: string[];
  /** the question that settles whether the step is needed, while unanswered */
  asks: Step['onlyIf'] | null;
  overruled: string | null;
}

export interface ChosenSchool {
  option: string;
  chosen: boolean;
  because: string;
}

/** W: what the domains work out, by name. S: the schools they know. */
export interface JobState<W = any, S extends string = any> {
  sheet: RunSheet;
  replayed: Replayed;
  readings: Reading[];
  steps: StepView[];
  /** index of the step to do now; null when all is done */
  current: number | null;
  flags: ReadonlySet<string>;
  /** states that were given and are not proved any more, with what took them back */
  fallen: ReadonlyMap<string, Fallen>;
  /** states that stand on a reason: the reason, by state */
  onWord: ReadonlyMap<string, string>;
  /** every rule that holds now */
  raised: Rule[];
  /** those of them that stand as bars: dangers, and what the step in hand must wait for */
  interlocks: Rule[];
  schools: Record<S, ChosenSchool>;
  /** the timing that the crank is brought to, degrees before TDC; null where the sheet has none or its value is missing */
  reference: number | null;
  /** what is taken off every reading on the mark; null while the mark was never proved */
  readonly correction: Correction | null;
  /** what the domains work out, each when it is first asked for */
  work: W;
  /** the domains it was worked out with, what is needed first */
  domains: readonly Domain[];
  engine: Engine;
  progress: { done: number; total: number };
  closed: boolean;
}

/** A state that a step gave and that is not proved now: the step, what took it back, and whether it is to be done again. */
export interface Fallen {
  step: string;
  what: string;
  again: boolean;
}

/** The error of a timing mark: what it reads too early, with its standard uncertainty; degrees of the crank. */
export interface Correction {
  errorDeg: number;
  uDeg: number;
  /** the same of a figure that was read on the wheel and not on the mark; left out: no other */
  uWheelDeg?: number;
}

/** What a working may stand on: the sheets, the log as played back, the ways chosen, and the other workings. */
export interface WorkContext<W = any, S extends string = any> {
  sheet: RunSheet;
  engine: Engine;
  r: Replayed;
  schools: Record<S, ChosenSchool>;
  works: W;
  /** what a slot is aimed at on this job; undefined: at the data sheet's target */
  aim: (slot: string) => number | undefined;
}

/** A figure that was typed, while it may still be doubted. */
export interface Typed<State = any> {
  state: State;
  engine: Engine;
  step: Step;
  aim: Aim;
  figure: ParsedReading;
  text: string;
  len: LengthText;
}

/** Figures of one thing, read again and again by one hand with one gauge. Base units. */
export interface RepeatGroup {
  of: Reading[];
  kind: GaugeKind;
  /** what is read, as `readsOf` says it of a slot */
  reads: string;
  values: number[];
  /** what one figure takes of a reading's scatter: 1/√2 for the middle of two */
  share: number;
}

/** What the readings of a step leave open, where its words alone do not tell how. */
export interface Open {
  what: string;
  short: Shortfall;
  /** the states that it concerns; without it all that the step makes true */
  of?: readonly string[];
  /** it is of the result, and not of the state that the step makes true: a reason goes on, and the state stands on its proof */
  aside?: true;
  /** it harms the machine: no reason goes on from it, though one would from the other ways in which the state is not proved */
  never?: true;
}

/** What a surface says of a step, and how its figures are read. Everything here may be left out. */
export interface SurfaceWords<State = any> {
  /** the finding at its top; null leaves the instruction there */
  headline?: (state: State, v: StepView, len: LengthText) => string | null;
  /** the same finding as data: what to do next, how far and which way; null: there is nothing to do but read on */
  advice?: (state: State, v: StepView) => Advised | null;
  /** what its readings leave open; null when they settle it */
  open?: (state: State, v: StepView) => string | Open | readonly Open[] | null;
  /** where the next figure goes, where that does not follow from the slots alone; null: it takes none */
  aim?: (state: State, step: Step, prefer?: string) => Aim | null;
  /** takes off what is typed beside the figure, as the side of the top in `17.6 a` */
  strip?: (text: string) => { text: string; prefer?: string };
  /** what was taken at it, for the run sheet; null, or left out: its readings are counted */
  taken?: (state: State) => string | null;
  /** the slots it cannot be done without, where that depends on the way chosen */
  required?: (state: State) => readonly string[];
}

/**
 * A part of the trade: what is worked out, said, settled and watched over. It is told the state it works on and keeps
 * nothing; a screen fetches those of its run sheet, servers and tests have all.
 */
export interface Domain<W = any, S extends string = any> {
  name: string;
  /** domains whose workings it reads */
  needs: readonly Domain[];
  works: Record<string, (c: WorkContext<W, S>) => unknown>;
  surfaces: Record<string, SurfaceWords<JobState<W, S>>>;
  /** which way is proposed, and why: for an engine, and what was answered and measured on the job */
  schools?: Record<string, Proposal>;
  figures?: (state: JobState<W, S>) => SettledFigure[];
  /** readings that repeat one another in ways that do not follow from their slots, as the middles of pairs do */
  repeats?: (state: JobState<W, S>) => RepeatGroup[];
  /** rules that follow from a figure, not from a state that was said */
  interlocks?: (c: WorkContext<W, S>) => string[];
  /** questions that what is known answers, until somebody answers them; undefined: not known */
  answers?: (c: WorkContext<W, S>) => Readonly<Record<string, boolean | undefined>>;
  /** states that hold by what is known, without a step that gives them */
  gives?: (c: WorkContext<W, S>) => readonly string[];
  /** states that what was measured takes back, whatever was said */
  falls?: (c: WorkContext<W, S>) => readonly string[];
  /** what a slot is aimed at on this job, where that is not the data sheet's target: by slot */
  aims?: (c: WorkContext<W, S>) => Readonly<Record<string, number | null>>;
  /** the error of the mark that readings are taken on; undefined: it knows of none, null: it was never proved */
  corrects?: (c: WorkContext<W, S>) => Correction | null | undefined;
  /** what is improbable about a figure, as a question to ask once; by slot */
  doubts?: Record<string, (t: Typed<JobState<W, S>>) => string | null>;
  /** what an event does to the states, beyond its step's own */
  replays?: (r: Replayed, e: JobEvent, step: Step | undefined, happened: Rule | undefined) => void;
  /** further lines of the card */
  card?: (state: JobState<W, S>, len: LengthText) => { label: string; value: string }[];
}

/** `said`: what was answered by question; `r`: the whole log, where a proposal looks at what was measured */
export type Proposal = (
  engine: Engine,
  said: ReadonlyMap<string, string>,
  r: Replayed
) => { option: string; because: string };

/** The named domains and all they need, each once, what is needed first. */
export function withNeeded(domains: readonly Domain[]): Domain[] {
  const out = new Map<string, Domain>();
  const add = (d: Domain): void => {
    if (out.has(d.name)) return;
    for (const n of d.needs) add(n);
    out.set(d.name, d);
  };
  for (const d of domains) add(d);
  return [...out.values()];
}

/** The words of a surface, from whichever domain has it. */
export function surfaceOf(domains: readonly Domain[], surface: string): SurfaceWords {
  for (const d of domains) if (d.surfaces[surface]) return d.surfaces[surface];
  return {};
}

/** The doubts about a slot, from whichever domain has them. */
export const doubtOf = (domains: readonly Domain[], slot: Slot): ((t: Typed) => string | null) | undefined =>
  domains.find((d) => d.doubts?.[slot.slot])?.doubts?.[slot.slot];
