import type { JobState } from '../../job/domain.ts';
import type { Decision } from './decisions.ts';

export interface ReceivedWorks {
  decisions: Decision[];
}
export type ReceivedState = JobState<ReceivedWorks>;
