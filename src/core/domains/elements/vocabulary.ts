import { authored, type Both, type WordsOf } from '../../job/vocabulary.ts';
import type { EngineVocabulary } from '../engine/vocabulary.ts';
import type { fields } from './fields.ts';
import type { figures } from './figures.ts';
import type { flags } from './flags.ts';
import type { slots } from './slots.ts';

export const surfaces = ['elements', 'tappet-shims'] as const;

type Own = WordsOf<{
  fields: typeof fields;
  flags: typeof flags;
  slots: typeof slots;
  figures: typeof figures;
  surfaces: typeof surfaces;
}>;
export type ElementsVocabulary = Both<Own, EngineVocabulary>;
export const { step, numberOf, listOf } = authored<ElementsVocabulary>();
