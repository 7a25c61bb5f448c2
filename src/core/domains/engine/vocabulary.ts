import { authored, type WordsOf } from '../../job/vocabulary.ts';
import type { fields } from './fields.ts';
import type { flags } from './flags.ts';
import type { hazards } from './hazards.ts';

export const surfaces = ['plain', 'sheet', 'judged', 'close'] as const;

export type EngineVocabulary = WordsOf<{
  fields: typeof fields;
  flags: typeof flags;
  hazards: typeof hazards;
  surfaces: typeof surfaces;
}>;
export const { step, numberOf, choiceOf, listOf } = authored<EngineVocabulary>();
