import { authored, type Both, type WordsOf } from '../../job/vocabulary.ts';
import type { DistributorVocabulary } from '../distributor/vocabulary.ts';
import type { WalkVocabulary } from '../walk/vocabulary.ts';
import type { fields } from './fields.ts';
import type { flags } from './flags.ts';
import type { schools } from './schools.ts';
import type { slots } from './slots.ts';
import type { figures } from './figures.ts';

export const surfaces = ['timing', 'gap', 'bias', 'clamp'] as const;

type Own = WordsOf<{
  fields: typeof fields;
  flags: typeof flags;
  schools: typeof schools;
  slots: typeof slots;
  figures: typeof figures;
  surfaces: typeof surfaces;
}>;
export type TimingVocabulary = Both<Own, Both<DistributorVocabulary, WalkVocabulary>>;
export const { step, numberOf, choiceOf, listOf, lastOf, readingsOf, asks, sets, holds } = authored<TimingVocabulary>();
