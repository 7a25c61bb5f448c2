import type { Field } from '../engine/fields.ts';
import type { GaugeKind } from '../tray/gauge-kinds.ts';
import type { PartKind } from '../tray/part-kinds.ts';
import type { Quantity } from '../units/units.ts';
import type { Act, Place } from './acts.ts';
import type { Rule } from './rule.ts';
import type { Thing } from './things.ts';

/** Ways to log one figure again: a repeat, a place come to backwards, a place come to nobody knows how. */
export type Variant = (typeof VARIANTS)[number];
const VARIANTS = ['again', 'back', 'unsure'] as const;

/** Names of values on the data sheet that a figure is judged by. */
export interface Limits {
  least?: string;
  most?: string;
  /** what is aimed at between them */
  target?: string;
}

/**
 * How several readings of one slot become a figure: each stands for itself, their mean counts, the last replaces those
 * before, two that belong together are read one after the other, or they are told apart by the way the speed went.
 */
export type Combine = 'each' | 'mean' | 'last' | 'worst' | 'pair' | 'up-down';

/** A figure that a step asks for, and what it is. */
export interface Slot {
  slot: string;
  label: string;
  quantity: Quantity;
  gauge: GaugeKind;
  /** the step cannot be marked done without one */
  required?: boolean;
  /** taken again and again: pairs, repeats */
  repeats?: boolean;
  also?: readonly Variant[];
  combine?: Combine;
  /** its place is sought anew each time: how far repeats lie apart tells of the place, not of the hand */
  sought?: boolean;
  /** what is set between one reading and the next: readings of one setting of it count together */
  of?: Thing;
  /** standard deviation of finding its place again, beside the gauge's: a rule of thumb; base unit */
  seekU?: number;
  /** read against the timing mark: the mark's error is taken off */
  onMark?: true;
  /** it may be below zero: its sign says a side */
  signed?: boolean;
  /** the slot that is read next, where two make one */
  pairsWith?: string;
  limits?: Limits;
  /** what had to be done to read it */
  acts?: readonly Act[];
  /** the slot of an earlier job whose readings a job that follows it takes over */
  carries?: string;
  /** the figure that it settles by itself, through the judged surface */
  figure?: string;
  /**
   * It counts again what another slot counted before it, and what to do while some are missing. With `hard` what is missing
   * breaks what turns: no reason goes on without it.
   */
  countsBack?: { slot: string; missing: string; hard?: true };
  /** one reading for each piece that this other slot counted */
  eachOf?: string;
}

/** Something a step asks that is answered with one of a few words, not with a figure. */
export interface StepChoice {
  id: string;
  question: string;
  /**
   * An option that is a place of its own on the drawing names that part: touching it answers. One with `holds` leaves the
   * step unsettled, and says why: it is put right, or gone on from with a reason.
   */
  options: { id: string; label: string; part?: string; holds?: string }[];
  /** the part it is about, as the drawing of its place knows it */
  part?: string;
  /** value of the data sheet that answers it until it is answered here */
  field?: string;
  /** a job that follows takes the answer over */
  carries?: boolean;
  /** the states that it proves, by what is seen, felt or answered */
  proves?: readonly string[];
  /** a question of a later step that is answered with it, and the option that means yes */
  answers?: { fact: string; yes: string };
}

/** Something that is looked at, felt or answered, and the states that it proves; the first word is the good one. */
export type Look = StepChoice & { proves: readonly string[] };

/** The looks among the questions of a step, in the order of the hand. */
export const looksOf = (step: Pick<Step, 'choices'>): readonly Look[] =>
  step.choices.filter((c): c is Look => c.proves !== undefined);

/** A step that is done only in one case, settled by a question. */
export interface OnlyIf {
  fact: string;
  question: string;
  yes: string;
  no: string;
  /** the answer with which the step is done; yes unless it says otherwise */
  when?: boolean;
  /** asked only where this other question was answered yes; answered no, the step is not needed either */
  within?: string;
  /** value of the data sheet that answers it until it is answered on the job, and what it then is for a yes */
  field?: { name: string; yes: string };
  /** a state that is what the answer says */
  flag?: string;
}

/** What a step is when it is done in another way: another instruction, other tools, hands, hazards and deeds. */
export type StepWay = Partial<
  Pick<Step, 'say' | 'why' | 'accept' | 'ifSkipped' | 'tools' | 'minutes' | 'helper' | 'hazards' | 'acts'>
>;

export interface Step {
  id: string;
  phase: string;
  title: string;
  /** the instruction, one sentence in the order of the hand */
  say: string;
  why: string;
  accept: string;
  ifSkipped: string;
  tools: string[];
  minutes: number;
  helper: 'no' | 'advised' | 'yes';
  hazards: string[];
  sets: string[];
  clears: string[];
  needs: string[];
  mustBeOff: string[];
  slots: Slot[];
  /** where good technicians differ about it */
  schools: string[];
  onlyIf?: OnlyIf;
  /** done only where one of these ways of a school is gone, which is the usual one until somebody chose; never asked about */
  onlyWay?: { school: string; is: readonly string[]; usual: string };
  /** what a way of one of its schools changes about it, by school and option; what is left out stays as it is */
  ways?: Readonly<Record<string, Readonly<Record<string, StepWay>>>>;
  choices: StepChoice[];
  /** its choices are made in its drawing or table, beside what they are about */
  choicesInside?: boolean;
  /** its figures are findings, decided at a later step: one out of its limits does not hold it */
  finds?: boolean;
  /** the kinds of part that are taken from the tray here */
  takes: PartKind[];
  /** what it asks to be photographed, view by view */
  photos?: readonly string[];
  /** what the middle of the screen shows, beside the instruction */
  surface: string;
  acts: Act[];
  /** the parts that the hand touches, and what is done to each: what the drawing of their place picks out */
  handles: Readonly<Record<string, string | undefined>>;
  /** what its figures are known by, whatever the step is called on this sheet */
  role?: string;
  /** where it brings the crank: to the sheet's reference, to number one's firing TDC, or to either TDC */
  goal?: 'reference' | 'firing-tdc' | 'tdc';
  /** whole turns on the way there, at least */
  turnsOn?: number;
  /** what is turned at it: done, or opened again, what was read of that before is of an earlier setting */
  adjusts?: readonly Thing[];
  /** data-sheet values without which the step cannot be worked out */
  values: string[];
  /** further values that it cannot be worked out without, by an answer, or by the data sheet until it is answered */
  valuesBy?: { chosen: string; field: string; values: Readonly<Record<string, readonly string[]>> };
  /** data-sheet values that judge what is read at it: asked for, and not judged without them */
  wants?: readonly string[];
}

/** A run sheet as it is written down. */
export interface SheetPlan {
  id: string;
  title: string;
  short: string;
  begins: string[];
  /** what whoever opens such a job should know before it is begun */
  caution?: string;
  /** the value of the data sheet that the crank is brought to; left out where the crank is brought nowhere */
  reference?: string;
  /** the slot by which a job decides otherwise */
  referenceSlot?: string;
  /** an answer, or a value of the data sheet until it is answered, with which the reference is TDC itself */
  referenceAtTdc?: { chosen: string; field: string; is: string };
  /** states that are called otherwise on this sheet: on a diesel injectors come out, and no plugs */
  calls?: Readonly<Record<string, Pick<FlagWords, 'on' | 'off'>>>;
  /** the run sheet that follows on this one */
  next?: string;
  /** what an engine must be for this sheet to be offered; left out: any */
  fits?: readonly Fit[];
  /** the trade whose instrument stands beside the work in place of the crank's dial; `none`: only what is settled */
  panel?: string;
  /** what stands there: an engine that power can turn, one with its case open, or a part on the bench */
  place?: Place;
  steps: Step[];
}

/** A value of the data sheet that a sheet is made for, and why it is not for another; `$` stands for what it is. */
export interface Fit {
  field: string;
  is: readonly string[];
  otherwise: string;
}

/** Who or what is hurt by a state that is not true. */
export type Harm = 'person' | 'machine' | 'result';

export interface FlagWords {
  /** the state as the bench says it, and its opposite */
  on: string;
  off: string;
  /** it must be gone before anything turns by power */
  danger: boolean;
  /** lacking it (or, for a danger, having it) hurts people or breaks machines: it is made true, never overruled */
  hard?: boolean;
  /** counted or measured: it comes from its step, and saying it is not enough */
  counted?: boolean;
  /** it is asked for on every job with an engine, whether or not a step gives it */
  always?: boolean;
  /** it can be said at any time, with what was seen: no step gives it */
  sayable?: boolean;
  /** it falls with a step, or something said, that does one of these */
  lostBy?: readonly Act[];
  /** what earlier logs call it */
  was?: string;
  /** it matters only where this question was not answered with no: what is not fitted need not be plugged */
  only?: string;
  /** what a step does that does not prove it, who is hurt by it, and by which looks it is proved */
  proof?: { letters: string; harm: Harm; off: boolean; looks: readonly string[]; goneWith?: string };
}

/** Whether a state that is made good by hand is said with what was seen. */
export const saidWithSight = (f: FlagWords): boolean => f.hard === true || f.proof !== undefined;

/** Whether a state comes from the figures of its step alone, and is not said. */
export const onlyMeasured = (f: FlagWords): boolean => f.counted === true || f.proof?.looks.length === 0;

export interface HazardWords {
  title: string;
  text: string;
  defer: string;
}

/** One way of doing a step, with what speaks for and against it. */
export interface SchoolOption {
  id: string;
  name: string;
  gives: string;
  costs: string;
  preferWhen: string;
}

/** One way of a school. */
export interface Way {
  school: string;
  option: string;
}

/** Where good technicians differ, in words. */
export interface SchoolWords {
  title: string;
  options: SchoolOption[];
}

/**
 * A run sheet with all that is needed to work by it away from the list of domains: which of them work it out, the words
 * of its states, hazards, schools and values, and the rules that watch over it. A screen fetches it once.
 */
export interface RunSheet extends SheetPlan {
  domains: string[];
  /** step by step, those of them that it is worked out with */
  tradesOf: Readonly<Record<string, readonly string[]>>;
  /** those of them that work out one way alone, and which */
  onlyFor: Readonly<Record<string, Way>>;
  words: {
    flags: Record<string, FlagWords>;
    hazards: Record<string, HazardWords>;
    schools: Record<string, SchoolWords>;
    /** the parts that its steps touch, as the bench calls them */
    parts: Record<string, string>;
    /** every value that a data sheet may hold, in the order in which it is read */
    fields: Field[];
  };
  rules: Rule[];
}

/** Fills what a step leaves out, so that behind the sheet nothing is optional by accident. */
export function completeStep(s: Pick<Step, 'id' | 'phase' | 'title' | 'say' | 'why'> & Partial<Step>): Step {
  return {
    accept: '',
    ifSkipped: '',
    tools: [],
    minutes: 5,
    helper: 'no',
    hazards: [],
    sets: [],
    clears: [],
    needs: [],
    mustBeOff: [],
    slots: [],
    choices: [],
    schools: [],
    takes: [],
    surface: Object.keys(s.handles ?? {}).every((p) => p.startsWith('engine.')) ? 'plain' : 'parts',
    acts: [],
    handles: {},
    values: [],
    ...s
  };
}

/** What a value of the data sheet is called. */
export const labelOf = (sheet: RunSheet, name: string): string =>
  sheet.words.fields.find((f) => f.name === name)?.label ?? name;

/** Whether a figure was logged to a slot, by its exact name or as one of the variants that any slot may have. */
export const isOf = (slot: string, given: string, variants: readonly Variant[] = VARIANTS): boolean =>
  given === slot || variants.some((v) => given === `${slot}-${v}`);

/** The slot that a figure belongs to, by its exact name or as one of the variants that the slot declares; undefined: none. */
export const slotOf = (step: Pick<Step, 'slots'>, given: string): Slot | undefined =>
  step.slots.find((s) => isOf(s.slot, given, s.also ?? []));
