import { authored, type Both, type WordsOf } from '../../job/vocabulary.ts';
import type { CrankVocabulary } from '../crank/vocabulary.ts';
import type { fields } from './fields.ts';
import type { figures } from './figures.ts';
import type { flags } from './flags.ts';
import type { hazards } from './hazards.ts';
import type { parts } from './parts.ts';
import type { schools } from './schools.ts';
import type { slots } from './slots.ts';

export const surfaces = [
  'lift-chart',
  'lift',
  'gear-slot',
  'gear-torque',
  'ledger',
  'proof',
  'element-section'
] as const;

type Own = WordsOf<{
  fields: typeof fields;
  flags: typeof flags;
  hazards: typeof hazards;
  schools: typeof schools;
  slots: typeof slots;
  figures: typeof figures;
  surfaces: typeof surfaces;
  parts: typeof parts;
}>;
export type PumpVocabulary = Both<Own, CrankVocabulary>;
export const { step, numberOf, choiceOf, listOf, lastOf, settledOf, readingsOf, asks, sets, holds } =
  authored<PumpVocabulary>();
