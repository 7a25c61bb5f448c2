import type { JobState, WorkContext } from '../../job/domain.ts';
import type { CrankWorks } from '../crank/works.ts';
import type { ChartWork } from './lift-chart.ts';
import type { GearWork } from './gear-slot.ts';
import type { LedgerWork } from './ledger-work.ts';
import type { LiftWork } from './lift-work.ts';
import type { ProofWork } from './proof-work.ts';
import type { PumpVocabulary } from './vocabulary.ts';

export interface PumpWorks {
  liftChart: ChartWork;
  /** each step that measures the whole cycle, by its id */
  lifts: Record<string, LiftWork>;
  /** what is to be done at the gear once more, by its proof; null before that was read */
  gearAgain: GearWork | null;
  gearSlot: GearWork | null;
  ledger: LedgerWork;
  /** each step that proves the setting, by its id */
  proofs: Record<string, ProofWork>;
}
type Works = PumpWorks & CrankWorks;
export type PumpState = JobState<Works, PumpVocabulary['school']>;
export type PumpContext = WorkContext<Works, PumpVocabulary['school']>;
