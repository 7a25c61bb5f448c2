import type { JobState } from '../../job/domain.ts';
import type { BodyWork } from './body-work.ts';
import type { GearWork } from './gear-work.ts';
import type { GearsVocabulary } from './vocabulary.ts';

export interface GearsWorks {
  gears: GearWork;
  bodies: BodyWork;
}
export type GearsState = JobState<GearsWorks, GearsVocabulary['school']>;
