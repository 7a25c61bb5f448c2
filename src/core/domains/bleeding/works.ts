import type { JobState } from '../../job/domain.ts';
import type { FuelWay } from './fuel-way.ts';
import type { Pointed } from './points-to.ts';

export interface BleedingWorks {
  fuelWay: FuelWay;
  pointed: Pointed[];
}
export type BleedingState = JobState<BleedingWorks>;
