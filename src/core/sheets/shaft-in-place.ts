import { allBack } from '../domains/walk/slots.ts';
import { slots as ringSlots } from '../domains/rings/slots.ts';
import { slots as toothSlots } from '../domains/tooth/slots.ts';
import { riskAsked } from '../domains/tooth/risk-work.ts';
import { BY_DISTRIBUTOR, cap, crank, distributor, engine, sheet, step, timing, tooth } from './authoring.ts';
import { shaftIn } from './shaft-in.ts';
import { shaftOut } from './shaft-out.ts';
import { comesOut, hoseThere } from './shaft-questions.ts';

const SAFE = 'Make safe';
const CRANK = 'Find the crank';
const PROVE = 'Prove the fault';
const TIME = 'Time and prove';

/** A drive shaft a tooth or more out, corrected with the case closed. High risk: most jobs end once the fault is looked for. */
export const shaftInPlace = sheet({
  id: 'shaft-in-place',
  title: 'Correct the drive shaft, engine assembled',
  short: 'drive shaft corrected, case closed: high risk',
  caution: 'High risk: the fault is proved first, and the case may have to be split.',
  fits: [BY_DISTRIBUTOR, { field: 'driveKind', is: ['open-case'], otherwise: 'its drive is: $' }],
  begins: ['gear-meshed', 'distributor-seated', 'shaft-held-down'],
  reference: 'staticBtdc',
  steps: [
    engine.intake({
      id: 'intake',
      phase: SAFE,
      say: 'Check rings, shaft height, the slot\u2019s direction and number one\u2019s tower on the data sheet.',
      values: ['firingOrder', 'rotorDirection', 'ratio', 'gearTeeth', 'driveSlotBearingDeg', 'terminalOffsetDeg']
    }),
    engine.makeSafe({ id: 'safe', phase: SAFE }),
    engine.barOn({ id: 'bar', phase: SAFE }),
    engine.plugsOut({ id: 'plugs', phase: CRANK }),
    crank.wheelOn({ id: 'wheel', phase: CRANK }),
    crank.trueTdc({ id: 'tdc', phase: CRANK }),
    crank.probeOut({ id: 'probe-out', phase: CRANK }),
    crank.judgeMark({ id: 'mark', phase: CRANK }),
    crank.proveStroke({ id: 'stroke', phase: CRANK }),
    crank.toReference({ id: 'ref', phase: CRANK }),
    tooth.witnessMarks({ id: 'marks', phase: PROVE, needs: ['crank-at-reference'] }),
    step({
      id: 'fault',
      phase: PROVE,
      title: 'Is it really the shaft?',
      say: 'With the crank at the reference read the rotor and the two ends of the housing\u2019s free arc.',
      why: 'Most of these jobs end here: a wrong tower, a foreign pulley or a turned housing looks the same.',
      accept: 'A tooth out at least, and no tower of the cap lets the housing stand free.',
      ifSkipped: 'The risk is taken for nothing.',
      tools: ['lamp'],
      minutes: 15,
      needs: ['crank-at-reference', 'compression-confirmed', 'damper-verified'],
      sets: ['shaft-fault-proved'],
      slots: [
        { ...toothSlots['rotor-seen'], label: 'rotor at the reference, bearing from above', required: true },
        { ...toothSlots['arc-min'], required: true },
        { ...toothSlots['arc-max'], required: true }
      ],
      values: ['rotorDirection', 'ratio', 'gearTeeth', 'firingOrder', 'staticBtdc', 'terminalOffsetDeg'],
      surface: 'fault'
    }),
    step({
      id: 'decide',
      phase: PROVE,
      title: 'In place, split, or live with it',
      say: 'Weigh the three ways. Without the shaft\u2019s parts list, its tools and the time for it, never draw the shaft in place: open the case, or live with it.',
      why: 'A ring that jams at the gear ruins it, and then the case is split after all.',
      accept: 'The number of rings is known, flange and seal can be replaced, and a split is accepted.',
      ifSkipped: 'The choice is made by the first thing that jams.',
      minutes: 4,
      needs: ['shaft-fault-proved'],
      slots: [ringSlots['rings-drawn'], toothSlots['hours-place'], toothSlots['hours-split']],
      choices: riskAsked,
      surface: 'shaft-risk',
      schools: ['shaft-in-place'],
      ways: {
        'shaft-in-place': {
          live: {
            say: 'Leave the shaft as it is. Close this job with a remark, and make room by another tower or another tooth on the sheet that fits the distributor.',
            minutes: 2
          },
          split: {
            say: 'Draw nothing in place. Close this job with a remark, and open the sheet for an open case.',
            minutes: 2
          }
        }
      },
      onlyIf: comesOut
    }),
    ...shaftOut,
    ...shaftIn,
    crank.toReference({ id: 'ref-last', phase: TIME, onlyIf: comesOut }),
    timing.indexHousing({ id: 'housing', phase: TIME, onlyIf: comesOut }),
    timing.powerOff({ id: 'power-off', phase: TIME, onlyIf: comesOut }),
    cap.rotorTip({ id: 'tip', phase: TIME, onlyIf: comesOut }),
    timing.roomBothWays({ id: 'room', phase: TIME, onlyIf: comesOut }),
    timing.biasChosen({ id: 'bias', phase: TIME, onlyIf: comesOut }),
    distributor.clampSnug({ id: 'snug', phase: TIME, onlyIf: comesOut }),
    cap.capOn({ id: 'cap', phase: TIME, onlyIf: comesOut }),
    cap.traceLeads({ id: 'leads', phase: TIME, onlyIf: comesOut }),
    timing.hoseOff({
      id: 'hose',
      phase: TIME,
      onlyIf: hoseThere
    }),
    timing.strobeOn({ id: 'strobe-on', phase: TIME, onlyIf: comesOut }),
    crank.toolsOff({ id: 'tools-off', phase: TIME, onlyIf: comesOut }),
    timing.nothingLeft({ id: 'sweep', phase: TIME, onlyIf: comesOut }),
    timing.firstStart({ id: 'start', phase: TIME, onlyIf: comesOut }),
    timing.strobeInitial({ id: 'strobe', phase: TIME, onlyIf: comesOut }),
    timing.clampFinal({ id: 'clamp-final', phase: TIME, onlyIf: comesOut }),
    timing.hoseOn({
      id: 'hose-on',
      phase: TIME,
      onlyIf: hoseThere
    }),
    step({
      id: 'off',
      phase: TIME,
      title: 'Wheel and bar off, counted',
      say: 'The shaft stays in: take wheel, pointer wire and bar off, plugs and cap back, count everything.',
      why: 'Whatever stays on the crank is thrown.',
      accept: 'Count complete.',
      ifSkipped: 'A thrown wheel.',
      minutes: 6,
      hazards: ['barring-tool', 'rotating'],
      clears: ['degree-wheel-on', 'barring-tool-fitted', 'plugs-out', 'cap-off'],
      slots: allBack,
      mustBeOff: ['probe-in', 'piston-stop-in'],
      onlyIf: { ...comesOut, when: false }
    }),
    engine.closeLog({ id: 'close', phase: TIME, mustBeOff: ['vacuum-plugged'] })
  ]
});
