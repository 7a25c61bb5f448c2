import { authored, type Both, type WordsOf } from '../../job/vocabulary.ts';
import type { CurvesVocabulary } from '../curves/vocabulary.ts';
import type { figures } from './figures.ts';
import type { flags } from './flags.ts';
import type { slots } from './slots.ts';

export const surfaces = ['targets', 'recurve', 'swept-again', 'knock'] as const;

type Own = WordsOf<{
  fields: readonly [];
  flags: typeof flags;
  slots: typeof slots;
  figures: typeof figures;
  surfaces: typeof surfaces;
}>;
export type RecurveVocabulary = Both<Own, CurvesVocabulary>;
export const { step, numberOf, choiceOf, listOf, readingsOf } = authored<RecurveVocabulary>();
