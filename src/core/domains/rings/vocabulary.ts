import { authored, type Both, type WordsOf } from '../../job/vocabulary.ts';
import type { StackVocabulary } from '../stack/vocabulary.ts';
import type { ToothVocabulary } from '../tooth/vocabulary.ts';
import type { fields } from './fields.ts';
import type { flags } from './flags.ts';
import type { parts } from './parts.ts';
import type { slots } from './slots.ts';
import type { figures } from './figures.ts';

export const surfaces = ['rings'] as const;

type Own = WordsOf<{
  fields: typeof fields;
  flags: typeof flags;
  slots: typeof slots;
  figures: typeof figures;
  surfaces: typeof surfaces;
  parts: typeof parts;
}>;
export type RingsVocabulary = Both<Own, Both<StackVocabulary, ToothVocabulary>>;
export const { step, numberOf, lastOf, settledOf, readingsOf, asks } = authored<RingsVocabulary>();
