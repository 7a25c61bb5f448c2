import type { JobState, WorkContext } from '../../job/domain.ts';
import type { CrankWorks } from '../crank/works.ts';
import type { TimingWorks } from '../timing/works.ts';
import type { LobesWork } from './lobes-work.ts';
import type { ScatterWork } from './scatter-work.ts';
import type { SweepWork } from './sweep-work.ts';
import type { VacuumWork } from './vacuum-work.ts';
import type { CurvesVocabulary } from './vocabulary.ts';

export interface CurvesWorks {
  /** the sweeps of the run sheet in its order: the first is the curve as it was found */
  sweeps: SweepWork[];
  lobes: LobesWork;
  vacuum: VacuumWork;
  scatter: ScatterWork;
}
type Works = CurvesWorks & TimingWorks & CrankWorks;
export type CurvesState = JobState<Works, CurvesVocabulary['school']>;
export type CurvesContext = WorkContext<Works, CurvesVocabulary['school']>;
