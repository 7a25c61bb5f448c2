import { weightsMove } from '../domains/received/asked.ts';
import { BY_DISTRIBUTOR, curves, engine, received, sheet, timing, weightsAsked } from './authoring.ts';

const LOOK = 'Look and feel';
const RUN = 'Run it on the bench';
const DECIDE = 'Decide';

/** A distributor on a test bench or turned by hand: weights, spacing of the sparks, curve, vacuum. */
export const benchCheck = sheet({
  id: 'bench-check',
  title: 'Check a distributor on the bench',
  short: 'distributor on the bench',
  fits: [BY_DISTRIBUTOR],
  begins: ['battery-isolated', 'distributor-out'],
  place: 'bench',
  panel: 'curves',
  steps: [
    engine.intake({
      id: 'intake',
      phase: LOOK,
      values: ['firingOrder', 'ratio', 'advanceBand', 'floatMinMm', 'floatMaxMm']
    }),
    received.received({ id: 'received', phase: LOOK }),
    received.floatAtGear({ id: 'float', phase: LOOK }),
    received.platformAndShaft({ id: 'platform', phase: LOOK }),
    curves.weightsFree({ id: 'free', phase: LOOK, onlyIf: weightsAsked, choices: [weightsMove] }),
    received.plateTried({ id: 'plate', phase: LOOK }),
    received.secondarySeen({ id: 'secondary', phase: LOOK }),
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
    curves.vacuumChecked({ id: 'vacuum', phase: RUN }),
    received.partsDecided({ id: 'parts', phase: DECIDE }),
    engine.closeLog({ id: 'close', phase: DECIDE })
  ]
});
