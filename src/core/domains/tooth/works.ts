import type { JobState } from '../../job/domain.ts';
import type { CrankWorks } from '../crank/works.ts';
import type { ToothWork } from './tooth-work.ts';
import type { ToothVocabulary } from './vocabulary.ts';
import type { WitnessRow } from './witness-work.ts';

export interface ToothWorks {
  tooth: ToothWork;
  witness: WitnessRow[];
}
export type ToothState = JobState<ToothWorks & CrankWorks, ToothVocabulary['school']>;
