import type { JobState } from '../../job/domain.ts';
import type { CrankWorks } from '../crank/works.ts';
import type { RiskWork } from './risk-work.ts';
import type { ToothWork } from './tooth-work.ts';
import type { ToothVocabulary } from './vocabulary.ts';
import type { WitnessRow } from './witness-work.ts';

export interface ToothWorks {
  tooth: ToothWork;
  witness: WitnessRow[];
  risk: RiskWork;
}
export type ToothState = JobState<ToothWorks & CrankWorks, ToothVocabulary['school']>;
