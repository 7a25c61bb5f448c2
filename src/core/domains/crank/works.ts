import type { Evidence, Sign } from '../../calculations/cycle/cycle-evidence.ts';
import type { JobState, WorkContext } from '../../job/domain.ts';
import type { CrankPlace } from './place/place.ts';
import type { Walk } from './place/walk.ts';
import type { DriveSlack } from './slack.ts';
import type { MarkError } from './mark-work.ts';
import type { FitWork } from '../tdcfit/fit-work.ts';
import type { TdcWork } from './tdc-work.ts';
import type { CrankVocabulary } from './vocabulary.ts';

export interface CrankWorks {
  /** of a trade of its own, which is here where that way was chosen */
  fit?: FitWork;
  tdc: TdcWork;
  mark: MarkError | null;
  /** everything the log says of where the crank stands, in order */
  walk: Walk;
  signs: Sign[];
  evidence: Evidence | null;
  crank: CrankPlace;
  slack: DriveSlack;
  /** where the crank stood when an event of this number was written */
  placeAt: (seq: number) => CrankPlace;
}
export type CrankState = JobState<CrankWorks, CrankVocabulary['school']>;
export type CrankContext = WorkContext<CrankWorks, CrankVocabulary['school']>;
