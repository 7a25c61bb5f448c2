import type { JobState } from '../../job/domain.ts';
import type { PatchRow } from './patch-work.ts';
import type { StackWork } from './stack-work.ts';
import type { StackVocabulary } from './vocabulary.ts';

export interface StackWorks {
  stack: StackWork;
  patches: PatchRow[];
}
export type StackState = JobState<StackWorks, StackVocabulary['school']>;
