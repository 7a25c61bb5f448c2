import { authored, type Both, type WordsOf } from '../../job/vocabulary.ts';
import type { StackVocabulary } from '../stack/vocabulary.ts';
import type { TimingVocabulary } from '../timing/vocabulary.ts';
import type { fields } from './fields.ts';
import type { flags } from './flags.ts';
import type { schools } from './schools.ts';
import type { slots } from './slots.ts';
import type { figures } from './figures.ts';

export const surfaces = ['sweep', 'scatter', 'lobes', 'vacuum'] as const;

type Own = WordsOf<{
  fields: typeof fields;
  flags: typeof flags;
  schools: typeof schools;
  slots: typeof slots;
  figures: typeof figures;
  surfaces: typeof surfaces;
}>;
export type CurvesVocabulary = Both<Own, Both<StackVocabulary, TimingVocabulary>>;
export const { step, numberOf, choiceOf, listOf, lastOf, readingsOf, sets } = authored<CurvesVocabulary>();
