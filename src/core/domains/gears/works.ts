import type { JobState } from '../../job/domain.ts';
import type { GearWork } from './gear-work.ts';
import type { GearsVocabulary } from './vocabulary.ts';

export interface GearsWorks {
  gears: GearWork;
}
export type GearsState = JobState<GearsWorks, GearsVocabulary['school']>;
