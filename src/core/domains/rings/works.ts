import type { JobState } from '../../job/domain.ts';
import type { StackWorks } from '../stack/works.ts';
import type { RingsWork } from './rings-work.ts';
import type { RingsVocabulary } from './vocabulary.ts';

export interface RingsWorks {
  rings: RingsWork;
}
export type RingsState = JobState<RingsWorks & StackWorks, RingsVocabulary['school']>;
