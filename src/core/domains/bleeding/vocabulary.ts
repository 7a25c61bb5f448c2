import { authored, type Both, type WordsOf } from '../../job/vocabulary.ts';
import type { PumpVocabulary } from '../pump/vocabulary.ts';
import type { fields } from './fields.ts';
import type { figures } from './figures.ts';
import type { flags } from './flags.ts';
import type { hazards } from './hazards.ts';
import type { slots } from './slots.ts';

export const surfaces = ['fuel-way', 'stops', 'first-run', 'leaks'] as const;

type Own = WordsOf<{
  fields: typeof fields;
  flags: typeof flags;
  hazards: typeof hazards;
  slots: typeof slots;
  figures: typeof figures;
  surfaces: typeof surfaces;
}>;
export type BleedingVocabulary = Both<Own, PumpVocabulary>;
export const { step, numberOf, listOf, choiceOf, lastOf, holds } = authored<BleedingVocabulary>();
