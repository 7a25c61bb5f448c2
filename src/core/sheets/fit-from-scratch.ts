import { pinSeen } from '../domains/distributor/steps.ts';
import type { Step } from '../job/run-sheet.ts';
import { BY_DISTRIBUTOR, cap, crank, distributor, engine, sheet, step, timing, tooth } from './authoring.ts';

const SAFE = 'Make safe';
const CRANK = 'Find the crank';
const FIT = 'Fit the drive';
const INDEX = 'Set the housing';
const PROVE = 'Time and prove';

const makeSafe: Step[] = [
  engine.intake({
    id: 'intake',
    phase: SAFE,
    values: ['firingOrder', 'rotorDirection', 'ratio', 'staticBtdc'],
    choices: [pinSeen]
  }),
  engine.makeSafe({ id: 'safe', phase: SAFE }),
  step({
    id: 'bench',
    phase: SAFE,
    title: 'Distributor ready on the bench',
    say: 'Rotor on, advance free, gear compared with the old one, number one marked on the rim.',
    why: 'Nothing should have to come out twice.',
    handles: {
      'distributor.rotor': 'on',
      'distributor.weights': 'free',
      'distributor.gear': 'compared with the old one',
      'distributor.rim': 'number one marked'
    },
    accept: 'Bench checks done and noted.',
    ifSkipped: 'The fit is repeated.',
    minutes: 10,
    sets: ['unit-ready']
  }),
  engine.plugsOut({ id: 'plugs', phase: SAFE }),
  engine.barOn({ id: 'bar', phase: SAFE })
];

const findCrank: Step[] = [
  crank.wheelOn({ id: 'wheel', phase: CRANK }),
  crank.trueTdc({ id: 'tdc', phase: CRANK }),
  crank.probeOut({ id: 'probe-out', phase: CRANK }),
  crank.judgeMark({ id: 'mark', phase: CRANK }),
  crank.proveStroke({ id: 'stroke', phase: CRANK }),
  crank.toReference({ id: 'ref', phase: CRANK })
];

const fitDrive: Step[] = [
  tooth.chooseTower({ id: 'tower', phase: FIT }),
  distributor.clampReady({ id: 'clamp-ready', phase: FIT }),
  distributor.sealOn({ id: 'seal', phase: FIT }),
  distributor.pumpShaft({ id: 'pump-shaft', phase: FIT, schools: ['prime'] }),
  distributor.primedByBore({ id: 'prime-bore', phase: FIT }),
  distributor.pumpSlotSet({ id: 'slot', phase: FIT }),
  tooth.letDown({ id: 'in', phase: FIT }),
  distributor.pinOut({ id: 'pin', phase: FIT }),
  tooth.dropIn({ id: 'to-seat', phase: FIT, values: ['rotorDirection', 'ratio'] }),
  crank.toReference({
    id: 'back',
    phase: FIT,
    title: 'Crank back to the reference',
    say: 'Turning to seat has moved the crank: bring it to the reference again, last movement forward.',
    needs: ['gear-meshed', 'compression-confirmed'],
    onlyIf: tooth.stoppedHigh
  }),
  distributor.seated({ id: 'seat', phase: FIT }),
  tooth.toothJudged({ id: 'tooth', phase: FIT })
];

const setHousing: Step[] = [
  timing.indexHousing({ id: 'index', phase: INDEX }),
  timing.powerOff({ id: 'power-off', phase: INDEX }),
  cap.rotorTip({ id: 'tip', phase: INDEX }),
  timing.roomBothWays({ id: 'room', phase: INDEX }),
  timing.biasChosen({ id: 'bias', phase: INDEX }),
  distributor.clampSnug({ id: 'snug', phase: INDEX }),
  cap.capOn({ id: 'cap', phase: INDEX }),
  cap.leadsInOrder({ id: 'leads', phase: INDEX })
];

const prove: Step[] = [
  distributor.twoTurns({ id: 'two-turns', phase: PROVE }),
  engine.runInPlanned({ id: 'run-in-plan', phase: PROVE }),
  timing.hoseOff({ id: 'hose', phase: PROVE }),
  timing.strobeOn({ id: 'strobe-on', phase: PROVE }),
  crank.toolsOff({ id: 'off', phase: PROVE }),
  timing.nothingLeft({ id: 'sweep', phase: PROVE }),
  // the starter may turn it: bar, wheel and hands are off by now
  distributor.oilPrimed({
    id: 'prime',
    phase: PROVE,
    onlyWay: { school: 'prime', is: ['starter', 'gallery'], usual: 'bore' }
  }),
  timing.firstStart({ id: 'start', phase: PROVE }),
  engine.runIn({ id: 'run-in', phase: PROVE }),
  timing.strobeInitial({ id: 'strobe', phase: PROVE }),
  timing.clampFinal({ id: 'clamp-final', phase: PROVE }),
  timing.hoseOn({ id: 'hose-on', phase: PROVE }),
  engine.closeLog({ id: 'close', phase: PROVE, mustBeOff: ['vacuum-plugged'] })
];

/** A distributor fitted to an engine whose marks are not trusted: from finding the crank to the strobe. */
export const fitFromScratch = sheet({
  id: 'fit-from-scratch',
  title: 'Fit a distributor, engine from scratch',
  short: 'fit distributor, marks unknown',
  fits: [BY_DISTRIBUTOR],
  begins: ['distributor-out', 'cap-off'],
  reference: 'staticBtdc',
  steps: [...makeSafe, ...findCrank, ...fitDrive, ...setHousing, ...prove]
});
