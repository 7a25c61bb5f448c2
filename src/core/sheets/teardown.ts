import { weightsMove } from '../domains/received/asked.ts';
import { BY_DISTRIBUTOR, curves, engine, received, sheet, weightsAsked } from './authoring.ts';

const IN = 'As it came in';
const MEASURE = 'Measure before it is apart';
const LOOK = 'Look and try';
const DECIDE = 'Decide';

/** A distributor off the engine, looked at and measured before anything of it is taken apart. */
export const teardown = sheet({
  id: 'teardown',
  title: 'Check a distributor before it is taken apart',
  short: 'checks before teardown',
  fits: [BY_DISTRIBUTOR],
  begins: ['battery-isolated', 'distributor-out'],
  place: 'bench',
  panel: 'received',
  steps: [
    engine.intake({
      id: 'intake',
      phase: IN,
      say: 'Check float, teeth, hand and materials, wear limits, curve and capsule figures.',
      values: ['gearTeeth', 'floatMinMm', 'floatMaxMm']
    }),
    received.received({ id: 'received', phase: IN }),
    received.cleaned({ id: 'clean', phase: IN }),
    received.floatAtGear({ id: 'float', phase: MEASURE }),
    received.platformAndShaft({ id: 'platform', phase: MEASURE }),
    received.patternRead({ id: 'pattern', phase: MEASURE }),
    received.teethAndHand({ id: 'teeth', phase: MEASURE }),
    received.indexLogged({ id: 'index', phase: MEASURE, schools: ['gear-fix'] }),
    received.materialAgreed({ id: 'material', phase: MEASURE }),
    curves.weightsFree({ id: 'advance', phase: LOOK, onlyIf: weightsAsked, choices: [weightsMove] }),
    received.capsuleTried({ id: 'capsule', phase: LOOK }),
    received.plateTried({ id: 'plate', phase: LOOK }),
    received.secondarySeen({ id: 'secondary', phase: LOOK }),
    received.partsDecided({ id: 'decide', phase: DECIDE, needs: ['wear-read'] }),
    engine.closeLog({ id: 'close', phase: DECIDE })
  ]
});
