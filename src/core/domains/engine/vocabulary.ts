import { authored, type WordsOf } from '../../job/vocabulary.ts';
import type { fields } from './fields.ts';
import type { flags } from './flags.ts';
import type { hazards } from './hazards.ts';
import type { schools } from './schools.ts';

export const surfaces = ['plain', 'sheet', 'judged', 'close'] as const;

export type EngineVocabulary = WordsOf<{
  fields: typeof fields;
  flags: typeof flags;
  hazards: typeof hazards;
  schools: typeof schools;
  surfaces: typeof surfaces;
}>;
export const { step, numberOf, choiceOf, listOf } = authored<EngineVocabulary>();
