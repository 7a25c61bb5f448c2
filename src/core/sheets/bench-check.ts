import { BY_DISTRIBUTOR, curves, engine, sheet, timing } from './authoring.ts';

const LOOK = 'Look and feel';
const RUN = 'Run it on the bench';

/** A distributor on a test bench or turned by hand: weights, spacing of the sparks, curve, vacuum. */
export const benchCheck = sheet({
  id: 'bench-check',
  title: 'Check a distributor on the bench',
  short: 'distributor on the bench',
  fits: [BY_DISTRIBUTOR],
  begins: ['battery-isolated', 'distributor-out'],
  place: 'bench',
  steps: [
    engine.intake({ id: 'intake', phase: LOOK, values: ['firingOrder', 'ratio', 'advanceBand'] }),
    curves.weightsFree({ id: 'free', phase: LOOK }),
    timing.setGap({ id: 'gap', phase: LOOK }),
    curves.lobesRead({ id: 'lobes', phase: RUN }),
    curves.benchSweep({
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
    curves.vacuumChecked({ id: 'vacuum', phase: RUN, clears: [] }),
    engine.closeLog({ id: 'close', phase: RUN })
  ]
});
