import { authored, type Both, type WordsOf } from '../../job/vocabulary.ts';
import type { CrankVocabulary } from '../crank/vocabulary.ts';
import type { fields } from './fields.ts';
import type { figures } from './figures.ts';
import type { flags } from './flags.ts';
import type { hazards } from './hazards.ts';
import type { schools } from './schools.ts';
import type { slots } from './slots.ts';

export const surfaces = ['flywheel', 'matched', 'stop-screw', 'stop-locked', 'piston-height'] as const;

type Own = WordsOf<{
  fields: typeof fields;
  flags: typeof flags;
  hazards: typeof hazards;
  schools: typeof schools;
  slots: typeof slots;
  figures: typeof figures;
  surfaces: typeof surfaces;
}>;
export type FlywheelVocabulary = Both<Own, CrankVocabulary>;
export const { step, numberOf, listOf, choiceOf } = authored<FlywheelVocabulary>();
