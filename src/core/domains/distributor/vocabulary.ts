import { authored, type Both, type WordsOf } from '../../job/vocabulary.ts';
import type { CrankVocabulary } from '../crank/vocabulary.ts';
import type { fields } from './fields.ts';
import type { flags } from './flags.ts';
import type { parts } from './parts.ts';
import type { slots } from './slots.ts';

export const surfaces = [] as const;

type Own = WordsOf<{
  fields: typeof fields;
  flags: typeof flags;
  slots: typeof slots;
  surfaces: typeof surfaces;
  parts: typeof parts;
}>;
export type DistributorVocabulary = Both<Own, CrankVocabulary>;
export const { step, numberOf, choiceOf, listOf } = authored<DistributorVocabulary>();
