import * as shared from './shared-steps.ts';
import * as time from './timing-steps.ts';
import type { RunSheet } from '../job/run-sheet.ts';

const LOOK = 'Look and feel';
const RUN = 'Run it on the bench';

/** A distributor on a test bench or turned by hand: weights, spacing of the sparks, curve, vacuum. */
export const benchCheck: RunSheet = {
  id: 'bench-check',
  title: 'Check a distributor on the bench',
  short: 'distributor on the bench',
  begins: ['battery-isolated', 'distributor-out'],
  steps: [
    shared.intake({ id: 'intake', phase: LOOK, values: ['firingOrder', 'ratio', 'advanceBand'] }),
    time.weightsFree({ id: 'free', phase: LOOK }),
    time.setGap({ id: 'gap', phase: LOOK }),
    time.lobesRead({ id: 'lobes', phase: RUN }),
    time.benchSweep({
      id: 'sweep',
      phase: RUN,
      choices: [
        {
          id: 'sweep-scale',
          question: 'Speeds and degrees are those of the',
          options: [
            { id: 'bench', label: 'distributor: doubled once for the crank' },
            { id: 'engine', label: 'engine' }
          ]
        }
      ]
    }),
    time.vacuumChecked({ id: 'vacuum', phase: RUN, clears: [] }),
    shared.closeLog({ id: 'close', phase: RUN })
  ]
};
