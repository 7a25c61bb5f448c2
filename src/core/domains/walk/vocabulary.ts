import type { WordsOf } from '../../job/vocabulary.ts';
import type { slots } from './slots.ts';

export const surfaces = ['walk'] as const;

export type WalkVocabulary = WordsOf<{ slots: typeof slots; surfaces: typeof surfaces }>;
