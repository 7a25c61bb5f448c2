import { authored, type Both, type WordsOf } from '../../job/vocabulary.ts';
import type { CrankVocabulary } from '../crank/vocabulary.ts';
import type { fields } from './fields.ts';
import type { figures } from './figures.ts';
import type { flags } from './flags.ts';
import type { schools } from './schools.ts';
import type { slots } from './slots.ts';

export const surfaces = ['coupling', 'snap', 'run-spark'] as const;

type Own = WordsOf<{
  fields: typeof fields;
  flags: typeof flags;
  schools: typeof schools;
  slots: typeof slots;
  figures: typeof figures;
  surfaces: typeof surfaces;
}>;
export type MagnetoVocabulary = Both<Own, CrankVocabulary>;
export const { step, numberOf, choiceOf, lastOf, settledOf, readingsOf } = authored<MagnetoVocabulary>();
