import type { JobState, WorkContext } from '../../job/domain.ts';
import type { CrankWorks } from '../crank/works.ts';
import type { CurvesWorks } from '../curves/works.ts';
import type { TimingWorks } from '../timing/works.ts';
import type { BudgetWork } from './budget-work.ts';
import type { KnockWork } from './knock-work.ts';
import type { ModelError, RecurveWork } from './recurve-work.ts';
import type { RecurveVocabulary } from './vocabulary.ts';

export interface RecurveWorks {
  recurve: RecurveWork;
  /** the prediction against the second sweep, once there is one */
  model: ModelError | null;
  budget: BudgetWork;
  knock: KnockWork;
}
type Works = RecurveWorks & CurvesWorks & TimingWorks & CrankWorks;
export type RecurveState = JobState<Works, RecurveVocabulary['school']>;
export type RecurveContext = WorkContext<Works, RecurveVocabulary['school']>;
