import { choiceOf, listOf, numberOf, type Engine } from '../engine/engine.ts';
import type { Field } from '../engine/fields.ts';
import { lastOf, settledOf, type Settled } from './readings.ts';
import type { Reading, Replayed } from './replayed.ts';
import { completeStep, type FlagWords, type HazardWords, type SchoolWords, type Slot, type Step } from './run-sheet.ts';

/** The words a domain may use: its own and those of the domains it needs. Unions of literals. */
export interface Vocabulary {
  field: string;
  flag: string;
  hazard: string;
  school: string;
  slot: string;
  figure: string;
  surface: string;
  part: string;
}

/** What a domain writes down, before its words are read off it. */
export interface Written {
  fields?: readonly Field[];
  flags?: Readonly<Record<string, FlagWords>>;
  hazards?: Readonly<Record<string, HazardWords>>;
  schools?: Readonly<Record<string, SchoolWords>>;
  slots?: Readonly<Record<string, Slot>>;
  figures?: Readonly<Record<string, object>>;
  surfaces?: readonly string[];
  /** parts that hands touch, by place and part: `distributor.clamp` */
  parts?: Readonly<Record<string, string>>;
}

type KeyOf<T> = T extends object ? Extract<keyof T, string> : never;
/** The words of what a domain wrote down. */
export interface WordsOf<W extends Written> {
  field: W['fields'] extends readonly Field[] ? W['fields'][number]['name'] : never;
  flag: KeyOf<W['flags']>;
  hazard: KeyOf<W['hazards']>;
  school: KeyOf<W['schools']>;
  slot: KeyOf<W['slots']>;
  figure: KeyOf<W['figures']>;
  surface: W['surfaces'] extends readonly string[] ? W['surfaces'][number] : never;
  part: KeyOf<W['parts']>;
}

/** Words of several domains together. */
export type Both<A extends Vocabulary, B extends Vocabulary> = { [K in keyof Vocabulary]: A[K] | B[K] };

type Words<V extends Vocabulary> = {
  hazards: V['hazard'][];
  sets: V['flag'][];
  clears: V['flag'][];
  needs: V['flag'][];
  mustBeOff: V['flag'][];
  values: V['field'][];
  schools: V['school'][];
  surface: V['surface'];
  handles: Partial<Readonly<Record<V['part'], string>>>;
};
type Narrowed<V extends Vocabulary> = Partial<Omit<Step, keyof Words<V>> & Words<V>>;
/** A step as it is written with the words of a vocabulary. */
export type StepText<V extends Vocabulary> = Pick<Step, 'title' | 'say' | 'why'> & Narrowed<V>;
/** What a run sheet says of a step that it shares with others: its id, its place, and what is other here. */
export type Use<V extends Vocabulary = Vocabulary> = Pick<Step, 'id' | 'phase'> & Narrowed<V>;

/** Things counted by eye; what was counted last stands. */
export const COUNT = { quantity: 'count', gauge: 'eye', combine: 'last' } as const satisfies Partial<Slot>;

/** Slots by name: `slots.washer` is the slot called `washer`. */
export function slotsOf<const S extends Record<string, Omit<Slot, 'slot'>>>(
  named: S
): { readonly [K in keyof S]: Slot } {
  return Object.fromEntries(Object.entries(named).map(([slot, s]) => [slot, { slot, ...s }])) as never;
}

/**
 * The doors to data sheet, readings and steps, with the names of one vocabulary: a name that is in none of its domains
 * does not compile. What they do is what the functions of the same name do with any name.
 */
export function authored<V extends Vocabulary>() {
  return {
    /** a step, and what the sheet that uses it says otherwise */
    step: (s: StepText<V>, use: Use): Step => completeStep({ ...s, ...use }),
    numberOf: (e: Engine, name: V['field']): number | undefined => numberOf(e, name),
    listOf: (e: Engine, name: V['field']): number[] | undefined => listOf(e, name),
    choiceOf: (e: Engine, name: V['field']): string | undefined => choiceOf(e, name),
    lastOf: (r: readonly Reading[], slot: V['slot']): Reading | null => lastOf(r, slot),
    settledOf: (r: readonly Reading[], slot: V['slot']): Settled | null => settledOf(r, slot),
    readingsOf: (r: readonly Reading[], slot: V['slot']): Reading[] => r.filter((x) => x.slot === slot),
    asks: (v: { step: Step }, slot: V['slot']): boolean => v.step.slots.some((s) => s.slot === slot),
    sets: (v: { step: Step }, flag: V['flag']): boolean => v.step.sets.includes(flag),
    holds: (r: Pick<Replayed, 'flags'>, flag: V['flag']): boolean => r.flags.get(flag) === true
  };
}
