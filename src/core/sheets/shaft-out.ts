import { slots as ringSlots } from '../domains/rings/slots.ts';
import { slots as toothSlots } from '../domains/tooth/slots.ts';
import type { Step } from '../job/run-sheet.ts';
import { distributor, engine, looked, step } from './authoring.ts';
import { comesOut, turned } from './shaft-questions.ts';

const OUT = 'Shaft out';

/** The drive shaft drawn with the case closed: nothing holds it down from the distributor out until a rod does. */
export const shaftOut: Step[] = [
  engine.coverOpenings({ id: 'cover', phase: OUT, onlyIf: comesOut }),
  distributor.withdraw({
    id: 'out',
    phase: OUT,
    title: 'Distributor out, narrow side noted',
    say: 'Lift it straight out; see on which side of the slot the narrow half lies.',
    why: 'An offset tongue fits one way only. From now on nothing holds the shaft down.',
    handles: {
      'drive.distributor': 'straight out',
      'drive.slot': 'on which side?',
      'drive.shaft': 'nothing holds it now'
    },
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
    handles: { 'drive.spring': 'by magnet, counted', 'drive.distributor': 'does it cling there?' },
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
    handles: {
      'drive.hoses': 'clamped off',
      'drive.fuelpump': 'off',
      'drive.pushrod': 'out whole',
      'drive.flange': 'judged before levering'
    },
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
    handles: { 'drive.rod': 'presses, stays there', 'drive.shaft': 'cannot rise' },
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
    handles: {
      'drive.rod': 'held down throughout',
      'drive.slot': 'narrow half to the gear',
      'drive.crankgear': 'under a quarter turn'
    },
    accept: 'The narrow half faces the gear, and the shaft did not rise.',
    ifSkipped: 'The gear catches on the shaft.',
    tools: ['holding rod', 'bar'],
    helper: 'yes',
    hazards: ['barring-tool', 'pinch'],
    needs: ['shaft-rod-held'],
    acts: ['turns-crank'],
    clears: ['crank-at-reference', 'backlash-taken-up', 'shaft-rod-held'],
    onlyIf: turned
  }),
  step({
    id: 'puller',
    phase: OUT,
    title: 'Puller tried on the bench, then in',
    say: 'See in a spare shaft that it slides relaxed and grips spread; grease it, put it in, spread it.',
    why: 'It must let go when it is told to.',
    handles: { 'drive.puller': 'grips spread, lets go' },
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
    handles: {
      'drive.puller': 'straight, turned by the helix',
      'drive.shaft': 'stop at resistance',
      'drive.rings': 'stay on their seat'
    },
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
    handles: {
      'drive.gear': 'tooth faces',
      'drive.rings': 'steps worn in',
      'drive.seal': 'hard?',
      'drive.bore': 'burrs'
    },
    accept: 'Within the data sheet, no step to be felt.',
    ifSkipped: 'The same trouble comes back.',
    tools: ['micrometer', 'lamp'],
    minutes: 8,
    needs: ['drive-shaft-out'],
    choices: [
      looked('seen-gear', 'drive.gear', 'Gear', 'a worn gear wears its partner'),
      looked('seen-rings', 'drive.rings', 'Rings', 'a step in them lets the shaft down'),
      looked('seen-seal', 'drive.seal', 'Seal', 'a hard seal leaks'),
      {
        id: 'seen-bore',
        part: 'drive.bore',
        question: 'Edge of the bore',
        options: [
          { id: 'smooth', label: 'smooth' },
          { id: 'dressed', label: 'had a burr, dressed' }
        ]
      }
    ],
    onlyIf: comesOut
  })
];
