import type { JobState } from '../../job/domain.ts';
import type { ToothWorks } from '../tooth/works.ts';
import type { TipWork, WiresWork } from './cap-work.ts';
import type { CapVocabulary } from './vocabulary.ts';

export interface CapWorks {
  wires: WiresWork;
  tip: TipWork;
}
export type CapState = JobState<CapWorks & ToothWorks, CapVocabulary['school']>;
