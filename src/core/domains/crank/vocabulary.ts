import { authored, type Both, type WordsOf } from '../../job/vocabulary.ts';
import type { EngineVocabulary } from '../engine/vocabulary.ts';
import type { fields } from './fields.ts';
import type { figures } from './figures.ts';
import type { flags } from './flags.ts';
import type { parts } from './parts.ts';
import type { schools } from './schools.ts';
import type { slots } from './slots.ts';

export const surfaces = ['tdc', 'mark', 'strokes', 'plan', 'make-scale', 'slack'] as const;

type Own = WordsOf<{
  fields: typeof fields;
  flags: typeof flags;
  schools: typeof schools;
  slots: typeof slots;
  figures: typeof figures;
  surfaces: typeof surfaces;
  parts: typeof parts;
}>;
export type CrankVocabulary = Both<Own, EngineVocabulary>;
export const { step, numberOf, choiceOf, listOf, lastOf, settledOf, readingsOf, asks, sets, holds } =
  authored<CrankVocabulary>();
