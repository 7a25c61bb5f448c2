import { slots as engineSlots } from '../domains/engine/slots.ts';
import { allBack } from '../domains/walk/slots.ts';
import {
  BY_DISTRIBUTOR,
  cap,
  crank,
  distributor,
  engine,
  gears,
  sheet,
  stack,
  step,
  timing,
  tooth
} from './authoring.ts';

const BENCH = 'Compare on the bench';
const CRANK = 'Find the crank';
const OUT = 'Mark and lift out';
const IN = 'Choose the tooth and let it down';
const INDEX = 'Set the housing';
const PROVE = 'Time and prove';

/** Another distributor to an engine that ran: the housing's mark loses its meaning, the rotor's direction carries over. */
export const fitDifferent = sheet({
  id: 'fit-different',
  title: 'Fit a different distributor',
  short: 'different distributor, running engine',
  fits: [BY_DISTRIBUTOR],
  begins: ['gear-meshed', 'distributor-seated', 'oil-drive-engaged'],
  reference: 'staticBtdc',
  steps: [
    engine.intake({
      id: 'intake',
      phase: BENCH,
      values: ['firingOrder', 'rotorDirection', 'ratio', 'staticBtdc', 'gearTeeth']
    }),
    gears.compareGears({ id: 'compare', phase: BENCH }),
    gears.compareBodies({ id: 'bodies', phase: BENCH }),
    stack.proveFloat({
      id: 'float',
      phase: BENCH,
      title: 'Float of the new one',
      say: 'Push and pull the gear\u2019s end on the bench, not the advance plate.',
      sets: ['dist-float-known']
    }),
    step({
      id: 'curve',
      phase: BENCH,
      title: 'Curve set on the bench',
      say: 'Bring its advance to this engine before it goes in: a recurve of its own, up to the parts fitted.',
      why: 'On the bench springs and stop are in reach; in the engine they are under the cap.',
      handles: { 'distributor.weights': 'springs and stop in reach', 'distributor.capsule': 'its share known' },
      accept: 'Initial and advance together below the total limit, curve inside its limits.',
      ifSkipped: 'It comes out again, or knocks.',
      minutes: 5,
      onlyIf: {
        fact: 'curveAdjustable',
        question: 'Is its curve another one, and can it be set?',
        yes: 'It is set',
        no: 'It stays as it is'
      },
      choices: [
        {
          id: 'curve-by',
          question: 'Its curve was',
          options: [
            { id: 'measured', label: 'measured and set' },
            { id: 'open', label: 'not measured: it is swept in the engine' }
          ]
        }
      ]
    }),
    engine.makeSafe({ id: 'safe', phase: CRANK }),
    cap.mapLeads({ id: 'map', phase: CRANK }),
    engine.plugsOut({ id: 'plugs', phase: CRANK }),
    engine.barOn({ id: 'bar', phase: CRANK }),
    crank.wheelOn({ id: 'wheel', phase: CRANK }),
    crank.trueTdc({ id: 'tdc', phase: CRANK }),
    crank.probeOut({ id: 'probe-out', phase: CRANK }),
    crank.judgeMark({ id: 'mark', phase: CRANK }),
    crank.measureSlack({ id: 'slack', phase: CRANK }),
    crank.proveStroke({ id: 'stroke', phase: CRANK }),
    crank.toReference({ id: 'ref', phase: CRANK, schools: ['overshoot', 'slack'] }),
    tooth.witnessMarks({ id: 'marks', phase: OUT, needs: ['crank-at-reference'] }),
    distributor.withdraw({ id: 'out', phase: OUT }),
    distributor.pumpShaft({
      id: 'pump-shaft',
      phase: OUT,
      say: 'Before it clears the bore, see that the pump shaft stays behind.'
    }),
    engine.coverOpenings({ id: 'cover', phase: OUT }),
    engine.holdStill({ id: 'hold', phase: OUT }),
    stack.measureDepth({
      id: 'depth',
      phase: IN,
      say: 'Measure the new one: seat to end, down to the pump\u2019s drive, and where its tang begins.'
    }),
    tooth.planTooth({
      id: 'tooth-plan',
      phase: IN,
      say: 'Hold the new one over the bore: read the two ends of the arc in which its housing stands free.',
      needs: ['distributor-out']
    }),
    distributor.sealOn({ id: 'seal', phase: IN }),
    distributor.pumpSlotSet({ id: 'slot', phase: IN }),
    tooth.leadRotor({ id: 'lead', phase: IN }),
    tooth.letDown({ id: 'in', phase: IN, surface: 'tooth' }),
    distributor.pinOut({ id: 'pin', phase: IN }),
    tooth.dropIn({ id: 'drop', phase: IN }),
    crank.toReference({
      id: 'back',
      phase: IN,
      title: 'Crank back to the reference',
      say: 'Turning to seat has moved the crank: bring it to the reference again, last movement forward.',
      needs: ['gear-meshed', 'compression-confirmed'],
      onlyIf: tooth.stoppedHigh
    }),
    distributor.seated({ id: 'seat', phase: IN }),
    tooth.toothJudged({ id: 'tooth', phase: IN, surface: 'tooth' }),
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
    timing.indexHousing({ id: 'index', phase: INDEX }),
    timing.powerOff({ id: 'power-off', phase: INDEX }),
    cap.rotorTip({ id: 'tip', phase: INDEX }),
    timing.roomBothWays({ id: 'room', phase: INDEX }),
    timing.biasChosen({ id: 'bias', phase: INDEX }),
    distributor.clampSnug({ id: 'snug', phase: INDEX }),
    cap.capOn({ id: 'cap', phase: INDEX }),
    cap.traceLeads({ id: 'leads', phase: INDEX }),
    distributor.twoTurns({ id: 'two-turns', phase: PROVE }),
    timing.hoseOff({ id: 'hose', phase: PROVE }),
    timing.strobeOn({ id: 'strobe-on', phase: PROVE }),
    crank.toolsOff({ id: 'off', phase: PROVE }),
    timing.nothingLeft({ id: 'sweep', phase: PROVE, slots: [engineSlots['small-parts-back'], ...allBack] }),
    timing.firstStart({ id: 'start', phase: PROVE }),
    timing.strobeInitial({ id: 'strobe', phase: PROVE }),
    timing.clampFinal({ id: 'clamp-final', phase: PROVE }),
    timing.hoseOn({ id: 'hose-on', phase: PROVE }),
    engine.closeLog({ id: 'close', phase: PROVE, mustBeOff: ['vacuum-plugged'] })
  ]
});
