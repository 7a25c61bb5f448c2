import type { Engine } from '../engine/engine.ts';
import type { FigureWords } from './settled.ts';
import type { Proof } from './proof.ts';
import type { Rule } from './rule.ts';
import type { Way } from './run-sheet.ts';
import type { Written } from './vocabulary.ts';
import type { LengthText } from './texts.ts';

/** A settled figure of one job, for the line it makes in an engine's history. */
export interface TrendRow {
  key: string;
  value: number;
  u: number | null;
  output: unknown;
}

/**
 * What a domain writes down beside its workings: words, values, slots and rules. Servers have all manifests; a screen
 * gets of them what its run sheet carries.
 */
export interface Manifest extends Written {
  name: string;
  /** it works out one way of a school alone: a screen fetches it where that way is chosen */
  onlyFor?: Way;
  figures: Readonly<Record<string, FigureWords>>;
  rules: readonly Rule[];
  /** what proves its states, by state; one that is not here is given by what its step leaves open alone */
  proofs?: Readonly<Record<string, Proof>>;
  /** limits of the data sheet that come in pairs, and what they are limits of */
  limits?: readonly (readonly [least: string, most: string, what: string])[];
  /** what contradicts itself between values that are each fine alone */
  conflicts?: (e: Engine) => { names: string[]; message: string }[];
  /** a figure of the history in words, where value and uncertainty alone do not say it */
  trendText?: Readonly<Record<string, (row: TrendRow, len: LengthText) => string>>;
}
