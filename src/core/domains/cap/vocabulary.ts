import { authored, type Both, type WordsOf } from '../../job/vocabulary.ts';
import type { ToothVocabulary } from '../tooth/vocabulary.ts';
import type { TimingVocabulary } from '../timing/vocabulary.ts';
import type { fields } from './fields.ts';
import type { schools } from './schools.ts';
import type { slots } from './slots.ts';

export const surfaces = ['wires', 'lead-map', 'tip'] as const;

type Own = WordsOf<{
  fields: typeof fields;
  schools: typeof schools;
  slots: typeof slots;
  surfaces: typeof surfaces;
}>;
export type CapVocabulary = Both<Own, Both<ToothVocabulary, TimingVocabulary>>;
export const { step, numberOf, choiceOf, listOf, lastOf, readingsOf, asks } = authored<CapVocabulary>();
