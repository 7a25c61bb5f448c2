import { authored, type Both, type WordsOf } from '../../job/vocabulary.ts';
import type { DistributorVocabulary } from '../distributor/vocabulary.ts';
import type { fields } from './fields.ts';
import type { flags } from './flags.ts';
import type { schools } from './schools.ts';
import type { slots } from './slots.ts';
import type { figures } from './figures.ts';

export const surfaces = ['cap', 'tooth', 'drop', 'shaft', 'fault', 'witness', 'shaft-risk'] as const;

type Own = WordsOf<{
  fields: typeof fields;
  flags: typeof flags;
  schools: typeof schools;
  slots: typeof slots;
  figures: typeof figures;
  surfaces: typeof surfaces;
}>;
export type ToothVocabulary = Both<Own, DistributorVocabulary>;
export const { step, numberOf, choiceOf, listOf, lastOf, settledOf, asks, sets } = authored<ToothVocabulary>();
