import { slots as ringSlots } from '../domains/rings/slots.ts';
import { slots as toothSlots } from '../domains/tooth/slots.ts';
import { riskAsked } from '../domains/tooth/risk-work.ts';
import type { OnlyIf } from '../job/run-sheet.ts';
import { BY_DISTRIBUTOR, cap, crank, distributor, engine, sheet, step, timing, tooth } from './authoring.ts';

const SAFE = 'Make safe';
const CRANK = 'Find the crank';
const PROVE = 'Prove the fault';
const OUT = 'Shaft out';
const IN = 'Shaft in again';
const TIME = 'Time and prove';

/** Said once, before anything is taken apart: what follows can end with the case on the bench. */
const comesOut: OnlyIf = {
  fact: 'shaft-comes-out',
  question: 'If a ring jams at the gear the case has to be split. Is that accepted, and is the shaft to come out here?',
  yes: 'Accepted: it comes out here',
  no: 'No: it stays in'
};
const hoseThere: OnlyIf = {
  fact: 'vacuumUnit',
  within: 'shaft-comes-out',
  question: 'Is a vacuum capsule fitted?',
  yes: 'Fitted',
  no: 'None'
};
const turned: OnlyIf = {
  fact: 'shaft-needs-gap',
  within: 'shaft-comes-out',
  question: 'Must the shaft\u2019s narrow half face the crank gear before it can be drawn?',
  yes: 'Yes: the crank has to move a little',
  no: 'No: it clears as it stands'
};

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
      needs: ['crank-at-reference', 'compression-confirmed', 'mark-judged'],
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
      slots: [
        { ...ringSlots['ring-count'], label: 'thrust rings, as drawn' },
        toothSlots['hours-place'],
        toothSlots['hours-split']
      ],
      choices: riskAsked,
      surface: 'shaft-risk',
      schools: ['shaft-in-place'],
      onlyIf: comesOut
    }),
    engine.coverOpenings({ id: 'cover', phase: OUT, onlyIf: comesOut }),
    distributor.withdraw({
      id: 'out',
      phase: OUT,
      title: 'Distributor out, narrow side noted',
      say: 'Lift it straight out; see on which side of the slot the narrow half lies.',
      why: 'An offset tongue fits one way only. From now on nothing holds the shaft down.',
      needs: ['crank-at-reference', 'witness-marks', 'shaft-fault-proved', 'openings-covered'],
      acts: [],
      sets: ['distributor-out', 'shaft-unsupported'],
      clears: ['distributor-seated', 'shaft-held-down'],
      slots: [],
      onlyIf: comesOut
    }),
    engine.holdStill({
      id: 'hold',
      phase: OUT,
      say: 'Tag the starter and take the bar off: nobody turns the crank until the shaft is held again.',
      why: 'A shaft that nothing holds climbs, and spoils the crank gear.',
      needs: ['distributor-out'],
      onlyIf: comesOut
    }),
    step({
      id: 'slot-seen',
      phase: OUT,
      title: 'Slot read',
      say: 'Look down the bore: read the bearing of the slot\u2019s narrow side.',
      why: 'It says by how many teeth the shaft is out, and which way.',
      accept: 'A tooth or more from where the data sheet wants it.',
      ifSkipped: 'The shaft comes out although it stood right.',
      tools: ['lamp'],
      minutes: 3,
      needs: ['distributor-out', 'crank-at-reference'],
      slots: [{ ...toothSlots['drive-slot'], required: true }],
      values: ['driveSlotBearingDeg'],
      surface: 'shaft',
      onlyIf: comesOut
    }),
    step({
      id: 'spring',
      phase: OUT,
      title: 'Preload spring on the tray',
      say: 'Lift the spring out with magnet or hook, and count it.',
      why: 'It hides in the shaft or clings to the distributor.',
      accept: 'Spring seen on the tray.',
      ifSkipped: 'It is lost in the case, or missing afterwards.',
      tools: ['magnet'],
      minutes: 2,
      hazards: ['dropped-part', 'spring-release'],
      needs: ['distributor-out'],
      sets: ['spring-out'],
      onlyIf: comesOut
    }),
    step({
      id: 'nothing-on-it',
      phase: OUT,
      title: 'Whatever bears on the shaft taken off',
      say: 'Clamp the fuel hoses, take off pump, push rod and flange; judge an aged flange before levering.',
      why: 'A push rod that rides on the shaft locks it in.',
      accept: 'All out whole, holes covered.',
      ifSkipped: 'Fragments in the case, and a shaft that does not move.',
      tools: ['hose clamp', 'spanner', 'bungs'],
      minutes: 20,
      hazards: ['fuel-fire', 'dropped-part'],
      needs: ['openings-covered', 'fuel-disabled'],
      sets: ['pushrod-out'],
      acts: ['levers-flange', 'works-over-bore'],
      onlyIf: comesOut
    }),
    step({
      id: 'rod',
      phase: OUT,
      title: 'Rod on the shaft, held by a second person',
      say: 'A second person presses the shaft down with a rod and keeps it there; one voice says when the crank moves.',
      why: 'The rod stands in for the distributor: without it the shaft climbs at the first move of the crank.',
      accept: 'The shaft cannot rise, and whoever holds it has answered.',
      ifSkipped: 'A spoilt crank gear.',
      tools: ['holding rod'],
      minutes: 2,
      helper: 'yes',
      hazards: ['pinch'],
      needs: ['pushrod-out', 'spring-out'],
      sets: ['shaft-rod-held'],
      onlyIf: turned
    }),
    step({
      id: 'to-gap',
      phase: OUT,
      title: 'Narrow half to the crank gear, rod held',
      say: 'With the rod held down, bar the crank less than a quarter turn; only then may the rod be let go.',
      why: 'On some engines only the narrow half passes the crank gear; the rod stands in for the distributor.',
      accept: 'The narrow half faces the gear, and the shaft did not rise.',
      ifSkipped: 'The gear catches on the shaft.',
      tools: ['holding rod', 'bar'],
      helper: 'yes',
      hazards: ['barring-tool', 'pinch'],
      needs: ['shaft-rod-held'],
      acts: ['turns-crank'],
      clears: ['crank-at-reference', 'slack-taken-up', 'shaft-rod-held'],
      onlyIf: turned
    }),
    step({
      id: 'puller',
      phase: OUT,
      title: 'Puller tried on the bench, then in',
      say: 'See in a spare shaft that it slides relaxed and grips spread; grease it, put it in, spread it.',
      why: 'It must let go when it is told to.',
      accept: 'Grips and releases.',
      ifSkipped: 'It stays in the shaft on refitting.',
      tools: ['expanding puller', 'grease'],
      minutes: 6,
      needs: ['spring-out', 'pushrod-out'],
      sets: ['puller-proved'],
      clears: ['barring-tool-fitted'],
      onlyIf: comesOut
    }),
    step({
      id: 'draw',
      phase: OUT,
      title: 'Shaft drawn, rings left behind',
      say: 'Pull straight and turn with the helix; tap the puller so that the rings drop off. Resistance: stop, lower, tap again.',
      why: 'The helix wants turning, and a ring that comes up jams at the crank gear.',
      accept: 'Shaft out, the rings still on their seat.',
      ifSkipped: 'More force on a jammed ring ruins the gear: if it stays, split the case.',
      tools: ['puller', 'light hammer', 'lamp'],
      minutes: 20,
      helper: 'advised',
      hazards: ['dropped-part'],
      needs: ['shaft-fault-proved', 'spring-out', 'pushrod-out'],
      mustBeOff: ['barring-tool-fitted'],
      acts: ['pulls-shaft'],
      sets: ['drive-shaft-out'],
      clears: ['shaft-unsupported', 'gear-meshed', 'oil-drive-engaged'],
      onlyIf: comesOut
    }),
    step({
      id: 'rings-out',
      phase: OUT,
      title: 'Rings lifted, counted, measured',
      say: 'Lift them one by one with a magnet, measure each, compare the count with the drawing.',
      why: 'A ring left behind lies in the gear at the first turn.',
      accept: 'As many as drawn.',
      ifSkipped: 'A ring is lost in the case.',
      tools: ['magnet', 'micrometer'],
      hazards: ['dropped-part'],
      needs: ['drive-shaft-out'],
      sets: ['rings-counted'],
      slots: [{ ...ringSlots['ring-count'], label: 'thrust rings lifted out' }, ringSlots.ring],
      surface: 'rings',
      onlyIf: comesOut
    }),
    step({
      id: 'inspect',
      phase: OUT,
      title: 'Gear, rings, seal and bore looked at',
      say: 'Tooth faces, steps worn into rings, a hard seal, a burr at the bore\u2019s edge; new parts where in doubt.',
      why: 'A worn set goes wrong again.',
      accept: 'Within the data sheet, no step to be felt.',
      ifSkipped: 'The same trouble comes back.',
      tools: ['micrometer', 'lamp'],
      minutes: 8,
      needs: ['drive-shaft-out'],
      onlyIf: comesOut
    }),
    engine.barOn({
      id: 'bar-again',
      phase: IN,
      say: 'Only with the bore clear and every loose part out of the case: fit the bar again.',
      needs: ['battery-isolated', 'vehicle-secured', 'rings-counted'],
      onlyIf: turned
    }),
    crank.toReference({
      id: 'back',
      phase: IN,
      title: 'Crank back to the reference',
      say: 'The crank was moved for the shaft: bring it to the reference again, last movement forward.',
      needs: ['compression-confirmed', 'barring-tool-fitted', 'rings-counted'],
      onlyIf: turned
    }),
    engine.holdStill({
      id: 'hold-again',
      phase: IN,
      title: 'Bar off, crank left alone again',
      say: 'Take the bar off: the shaft goes in with the crank untouched.',
      needs: ['crank-at-reference'],
      onlyIf: turned
    }),
    step({
      id: 'rings-in',
      phase: IN,
      title: 'Rings centred in grease',
      say: 'Slide the rings down a guide rod on to their seat, heavy grease between, and look with a lamp.',
      why: 'A ring that lies cocked is crushed, and the case has to be split after all.',
      accept: 'Concentric and flat, as many as were counted.',
      ifSkipped: 'The shaft sits high, or a ring falls.',
      tools: ['guide rod', 'lamp', 'grease'],
      hazards: ['dropped-part'],
      needs: ['rings-counted'],
      slots: [ringSlots['shaft-bare']],
      takes: ['ring'],
      surface: 'rings',
      onlyIf: comesOut
    }),
    step({
      id: 'shaft-in',
      phase: IN,
      title: 'Shaft lowered, led by its swing',
      say: 'Hold it on the relaxed puller, start it turned back by its swing, lower it, read the slot; lift by single teeth.',
      why: 'The helix turns the shaft while it goes into mesh.',
      accept: 'Slot within half a tooth, height as before.',
      ifSkipped: 'A tooth out again.',
      tools: ['puller', 'depth gauge', 'lamp'],
      minutes: 10,
      helper: 'advised',
      hazards: ['dropped-part'],
      needs: ['crank-at-reference', 'compression-confirmed', 'rings-counted'],
      mustBeOff: ['barring-tool-fitted'],
      sets: ['gear-meshed', 'shaft-unsupported'],
      clears: ['drive-shaft-out'],
      slots: [
        { ...toothSlots['drive-slot'], label: 'slot now, narrow side, bearing from above', required: true },
        ringSlots['shaft-height']
      ],
      values: ['driveSlotBearingDeg'],
      surface: 'shaft',
      onlyIf: comesOut
    }),
    step({
      id: 'held',
      phase: IN,
      title: 'Spring, push rod and distributor back',
      say: 'Spring, distributor with a new seal, clamp; then flange and push rod. Count what came off.',
      why: 'Now the shaft is held down again, and not before.',
      accept: 'Count complete, the distributor down on its face.',
      ifSkipped: 'The shaft climbs at the first turn.',
      tools: ['seal', 'gasket'],
      minutes: 15,
      hazards: ['fuel-fire', 'spring-release'],
      needs: ['gear-meshed'],
      sets: ['shaft-held-down', 'distributor-seated', 'oil-drive-engaged', 'clamp-snug'],
      clears: ['shaft-unsupported', 'pushrod-out', 'spring-out', 'distributor-out'],
      onlyIf: comesOut
    }),
    engine.barOn({
      id: 'bar-last',
      phase: IN,
      needs: ['battery-isolated', 'vehicle-secured', 'shaft-held-down'],
      onlyIf: comesOut
    }),
    distributor.twoTurns({
      id: 'turns',
      phase: IN,
      title: 'Two turns by hand, felt and heard',
      say: 'Turn forward slowly for two full turns; stop at any tightness or sound. The rotor comes back under number one.',
      why: 'It is the last safe chance to find a bind.',
      needs: ['shaft-held-down', 'distributor-seated'],
      sets: ['drive-oriented'],
      onlyIf: comesOut
    }),
    crank.toReference({ id: 'ref-last', phase: TIME, onlyIf: comesOut }),
    timing.indexHousing({ id: 'housing', phase: TIME, onlyIf: comesOut }),
    timing.powerOff({ id: 'power-off', phase: TIME, onlyIf: comesOut }),
    timing.roomBothWays({ id: 'room', phase: TIME, onlyIf: comesOut }),
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
      mustBeOff: ['probe-in', 'piston-stop-in'],
      onlyIf: { ...comesOut, when: false }
    }),
    engine.closeLog({ id: 'close', phase: TIME, mustBeOff: ['vacuum-plugged'] })
  ]
});
