import type { JobState, WorkContext } from '../../job/domain.ts';
import type { CrankWorks } from '../crank/works.ts';
import type { GapWork } from './gap-work.ts';
import type { TimingWork } from './timing-work.ts';
import type { TimingVocabulary } from './vocabulary.ts';

export interface TimingWorks {
  /** the steps that set or prove the timing, by their id */
  timing: Record<string, TimingWork>;
  gap: GapWork;
}
type Works = TimingWorks & CrankWorks;
export type TimingState = JobState<Works, TimingVocabulary['school']>;
export type TimingContext = WorkContext<Works, TimingVocabulary['school']>;
