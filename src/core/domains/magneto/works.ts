import type { JobState, WorkContext } from '../../job/domain.ts';
import type { CrankWorks } from '../crank/works.ts';
import type { MagnetoWork } from './magneto-work.ts';
import type { MagnetoVocabulary } from './vocabulary.ts';

export interface MagnetoWorks {
  magneto: MagnetoWork;
}
export type MagnetoState = JobState<MagnetoWorks & CrankWorks, MagnetoVocabulary['school']>;
export type MagnetoContext = WorkContext<MagnetoWorks & CrankWorks, MagnetoVocabulary['school']>;
