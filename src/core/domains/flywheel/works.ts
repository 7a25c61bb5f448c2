import type { JobState, WorkContext } from '../../job/domain.ts';
import type { CrankWorks } from '../crank/works.ts';
import type { FlywheelVocabulary } from './vocabulary.ts';
import type { FlywheelWork } from './flywheel-work.ts';

export interface FlywheelWorks {
  flywheel: FlywheelWork;
}
export type FlywheelContext = WorkContext<FlywheelWorks & CrankWorks, FlywheelVocabulary['school']>;
export type FlywheelState = JobState<FlywheelWorks & CrankWorks, FlywheelVocabulary['school']>;
