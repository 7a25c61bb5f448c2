import * as drive from './drive-steps.ts';
import * as fit from './fit-steps.ts';
import * as shared from './shared-steps.ts';
import { step, type RunSheet, type Step } from '../job/run-sheet.ts';

const SAFE = 'Make safe';
const CRANK = 'Find the crank';
const FIT = 'Fit the drive';
const INDEX = 'Set the housing';
const PROVE = 'Time and prove';

const makeSafe: Step[] = [
  shared.intake({ id: 'intake', phase: SAFE, values: ['firingOrder', 'rotorDirection', 'ratio', 'staticBtdc'] }),
  shared.makeSafe({ id: 'safe', phase: SAFE }),
  step({
    id: 'bench',
    phase: SAFE,
    title: 'Distributor ready on the bench',
    say: 'Rotor on, advance free, gear compared with the old one, number one marked on the rim.',
    why: 'Nothing should have to come out twice.',
    accept: 'Bench checks done and noted.',
    ifSkipped: 'The fit is repeated.',
    minutes: 10,
    sets: ['unit-ready']
  }),
  shared.plugsOut({ id: 'plugs', phase: SAFE }),
  shared.barOn({ id: 'bar', phase: SAFE })
];

const findCrank: Step[] = [
  shared.wheelOn({ id: 'wheel', phase: CRANK }),
  shared.trueTdc({ id: 'tdc', phase: CRANK }),
  shared.judgeMark({ id: 'mark', phase: CRANK }),
  shared.probeOut({ id: 'probe-out', phase: CRANK }),
  shared.proveStroke({ id: 'stroke', phase: CRANK }),
  shared.toReference({ id: 'ref', phase: CRANK })
];

const fitDrive: Step[] = [
  fit.chooseTower({ id: 'tower', phase: FIT }),
  fit.clampReady({ id: 'clamp-ready', phase: FIT }),
  fit.sealOn({ id: 'seal', phase: FIT }),
  fit.pumpShaft({ id: 'pump-shaft', phase: FIT }),
  fit.pumpSlotSet({ id: 'slot', phase: FIT }),
  fit.letDown({ id: 'in', phase: FIT }),
  drive.dropIn({ id: 'to-seat', phase: FIT, values: ['rotorDirection', 'ratio'] }),
  shared.toReference({
    id: 'back',
    phase: FIT,
    title: 'Crank back to the reference',
    say: 'Turning to seat has moved the crank: bring it to the reference again, last movement forward.',
    needs: ['gear-meshed', 'compression-confirmed'],
    onlyIf: drive.stoppedHigh
  }),
  fit.seated({ id: 'seat', phase: FIT }),
  fit.toothJudged({ id: 'tooth', phase: FIT })
];

const setHousing: Step[] = [
  fit.indexHousing({ id: 'index', phase: INDEX }),
  fit.roomBothWays({ id: 'room', phase: INDEX }),
  fit.clampSnug({ id: 'snug', phase: INDEX }),
  fit.pinOut({ id: 'pin', phase: INDEX }),
  fit.capOn({ id: 'cap', phase: INDEX }),
  fit.leadsInOrder({ id: 'leads', phase: INDEX })
];

const prove: Step[] = [
  fit.twoTurns({ id: 'two-turns', phase: PROVE }),
  fit.oilPrimed({ id: 'prime', phase: PROVE }),
  fit.hoseOff({ id: 'hose', phase: PROVE }),
  fit.strobeOn({ id: 'strobe-on', phase: PROVE }),
  fit.nothingLeft({ id: 'sweep', phase: PROVE }),
  fit.firstStart({ id: 'start', phase: PROVE }),
  fit.strobeInitial({ id: 'strobe', phase: PROVE }),
  fit.clampFinal({ id: 'clamp-final', phase: PROVE }),
  shared.closeLog({ id: 'close', phase: PROVE })
];

/** A distributor fitted to an engine whose marks are not trusted: from finding the crank to the strobe. */
export const fitFromScratch: RunSheet = {
  id: 'fit-from-scratch',
  title: 'Fit a distributor, engine from scratch',
  short: 'fit distributor, marks unknown',
  begins: ['distributor-out', 'cap-off'],
  steps: [...makeSafe, ...findCrank, ...fitDrive, ...setHousing, ...prove]
};
