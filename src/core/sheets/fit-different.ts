import * as drive from './drive-steps.ts';
import * as fit from './fit-steps.ts';
import { mapLeads } from './refit-same.ts';
import * as shared from './shared-steps.ts';
import { step, type RunSheet } from '../job/run-sheet.ts';

const BENCH = 'Compare on the bench';
const CRANK = 'Find the crank';
const OUT = 'Mark and lift out';
const IN = 'Choose the tooth and let it down';
const INDEX = 'Set the housing';
const PROVE = 'Time and prove';

/** Another distributor to an engine that ran: the housing's mark loses its meaning, the rotor's direction carries over. */
export const fitDifferent: RunSheet = {
  id: 'fit-different',
  title: 'Fit a different distributor',
  short: 'different distributor, running engine',
  begins: ['gear-meshed', 'distributor-seated', 'oil-drive-engaged'],
  steps: [
    shared.intake({
      id: 'intake',
      phase: BENCH,
      values: ['firingOrder', 'rotorDirection', 'ratio', 'staticBtdc', 'gearTeeth']
    }),
    drive.compareGears({ id: 'compare', phase: BENCH }),
    drive.proveFloat({
      id: 'float',
      phase: BENCH,
      title: 'Float of the new one',
      say: 'Push and pull the gear\u2019s end on the bench, not the advance plate.',
      sets: ['dist-float-known']
    }),
    shared.makeSafe({ id: 'safe', phase: CRANK }),
    mapLeads({ id: 'map', phase: CRANK }),
    shared.plugsOut({ id: 'plugs', phase: CRANK }),
    shared.barOn({ id: 'bar', phase: CRANK }),
    shared.wheelOn({ id: 'wheel', phase: CRANK }),
    shared.trueTdc({ id: 'tdc', phase: CRANK }),
    shared.probeOut({ id: 'probe-out', phase: CRANK }),
    shared.judgeMark({ id: 'mark', phase: CRANK }),
    shared.proveStroke({ id: 'stroke', phase: CRANK }),
    shared.toReference({ id: 'ref', phase: CRANK }),
    drive.witnessMarks({ id: 'marks', phase: OUT, needs: ['crank-at-reference'] }),
    drive.withdraw({ id: 'out', phase: OUT }),
    fit.pumpShaft({
      id: 'pump-shaft',
      phase: OUT,
      say: 'Before it clears the bore, see that the pump shaft stays behind.'
    }),
    drive.coverOpenings({ id: 'cover', phase: OUT }),
    drive.holdStill({ id: 'hold', phase: OUT }),
    drive.measureDepth({
      id: 'depth',
      phase: IN,
      say: 'Measure the new one: seat to end, down to the pump\u2019s drive, and where its tang begins.'
    }),
    drive.planTooth({
      id: 'tooth-plan',
      phase: IN,
      say: 'Hold the new one over the bore: read the two ends of the arc in which its housing stands free.',
      needs: ['distributor-out']
    }),
    fit.sealOn({ id: 'seal', phase: IN }),
    fit.pumpSlotSet({ id: 'slot', phase: IN }),
    drive.leadRotor({ id: 'lead', phase: IN }),
    fit.letDown({ id: 'in', phase: IN, surface: 'tooth' }),
    drive.dropIn({ id: 'drop', phase: IN }),
    shared.toReference({
      id: 'back',
      phase: IN,
      title: 'Crank back to the reference',
      say: 'Turning to seat has moved the crank: bring it to the reference again, last movement forward.',
      needs: ['gear-meshed', 'compression-confirmed'],
      onlyIf: drive.stoppedHigh
    }),
    fit.seated({ id: 'seat', phase: IN }),
    fit.toothJudged({ id: 'tooth', phase: IN, surface: 'tooth' }),
    fit.pinOut({ id: 'pin', phase: INDEX }),
    fit.indexHousing({ id: 'index', phase: INDEX }),
    fit.roomBothWays({ id: 'room', phase: INDEX }),
    fit.clampSnug({ id: 'snug', phase: INDEX }),
    fit.capOn({ id: 'cap', phase: INDEX }),
    drive.rotorTip({ id: 'tip', phase: INDEX }),
    drive.traceLeads({ id: 'leads', phase: INDEX }),
    step({
      id: 'wiring',
      phase: INDEX,
      title: 'Trigger and supply connected to its own diagram',
      say: 'Follow the new one\u2019s wiring data; see to polarity and ballast.',
      why: 'Polarity changes the edge that fires.',
      accept: 'As its wiring data say.',
      ifSkipped: 'Timing shifted by a pole\u2019s width, a burnt module.',
      tools: ['meter'],
      minutes: 15,
      hazards: ['hv-ignition', 'battery'],
      needs: ['battery-isolated'],
      sets: ['trigger-verified']
    }),
    fit.twoTurns({ id: 'two-turns', phase: PROVE }),
    fit.hoseOff({ id: 'hose', phase: PROVE }),
    fit.strobeOn({ id: 'strobe-on', phase: PROVE }),
    fit.nothingLeft({ id: 'sweep', phase: PROVE }),
    fit.firstStart({ id: 'start', phase: PROVE }),
    fit.strobeInitial({ id: 'strobe', phase: PROVE }),
    fit.clampFinal({ id: 'clamp-final', phase: PROVE }),
    shared.closeLog({ id: 'close', phase: PROVE })
  ]
};
