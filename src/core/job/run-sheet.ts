import type { Quantity } from '../units/units.ts';
import type { FlagId } from '../sheets/flags.ts';
import type { HazardId } from '../sheets/hazards.ts';
import type { SchoolId } from '../sheets/school-ways.ts';

export type GaugeKind =
  | 'wheel'
  | 'dial'
  | 'strobe'
  | 'blade'
  | 'micrometer'
  | 'depth'
  | 'torque'
  | 'tacho'
  | 'thermometer'
  | 'pressure'
  | 'eye';

/** What the tray keeps besides gauges: parts that are taken out of it and written on a job. */
export const partKinds = ['packing', 'shim', 'ring', 'gasket', 'spring', 'stop'] as const;
export type PartKind = (typeof partKinds)[number];

/** A figure that a step asks for. */
export interface Slot {
  slot: string;
  label: string;
  quantity: Quantity;
  gauge: GaugeKind;
  /** the step cannot be marked done without one */
  required?: boolean;
  /** taken again and again: pairs, repeats */
  repeats?: boolean;
}

/** What the middle of the screen shows for a step, beside its instruction. */
export type Surface =
  | 'plain'
  | 'sheet'
  | 'tdc'
  | 'mark'
  | 'strokes'
  | 'plan'
  | 'cap'
  | 'timing'
  | 'scale'
  | 'close'
  | 'stack'
  | 'patch'
  | 'gears'
  | 'tooth'
  | 'drop'
  | 'shaft'
  | 'fault'
  | 'rings'
  | 'witness'
  | 'wires'
  | 'tip'
  | 'gap'
  | 'bias'
  | 'sweep'
  | 'lobes'
  | 'vacuum'
  | 'targets'
  | 'recurve';

/** Something a step asks that is answered with one of a few words, not with a figure. */
export interface StepChoice {
  id: string;
  question: string;
  options: { id: string; label: string }[];
  /** value of the data sheet that answers it until it is answered here */
  field?: string;
}

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
}

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
  hazards: HazardId[];
  sets: FlagId[];
  clears: FlagId[];
  needs: FlagId[];
  mustBeOff: FlagId[];
  slots: Slot[];
  school?: SchoolId;
  onlyIf?: OnlyIf;
  choices: StepChoice[];
  /** the kinds of part that are taken from the tray here */
  takes: PartKind[];
  surface: Surface;
  /** after it nobody knows where the crank stands */
  losesCrank: boolean;
  /** data-sheet values without which the step cannot be worked out */
  values: string[];
}

export interface RunSheet {
  id: string;
  title: string;
  short: string;
  begins: FlagId[];
  /** what whoever opens such a job should know before it is begun */
  caution?: string;
  steps: Step[];
  /** names of the data-sheet values that its steps need: a screen has them without the whole list of fields */
  labels?: Record<string, string>;
}

/** Fills what a step leaves out, so that behind the sheet nothing is optional by accident. */
export function step(s: Pick<Step, 'id' | 'phase' | 'title' | 'say' | 'why'> & Partial<Step>): Step {
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
    takes: [],
    surface: 'plain',
    losesCrank: false,
    values: [],
    ...s
  };
}
