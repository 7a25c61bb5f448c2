import { authored, type WordsOf } from '../../job/vocabulary.ts';
import type { fields } from './fields.ts';
import type { flags } from './flags.ts';
import type { hazards } from './hazards.ts';
import type { slots } from './slots.ts';
import type { parts } from './parts.ts';
import type { schools } from './schools.ts';

export const surfaces = ['plain', 'parts', 'sheet', 'judged', 'close'] as const;

export type EngineVocabulary = WordsOf<{
  fields: typeof fields;
  flags: typeof flags;
  hazards: typeof hazards;
  schools: typeof schools;
  slots: typeof slots;
  surfaces: typeof surfaces;
  parts: typeof parts;
}>;
export const { step, numberOf, choiceOf, listOf } = authored<EngineVocabulary>();
