import { slots as engineSlots } from '../domains/engine/slots.ts';
import { slots as ringSlots } from '../domains/rings/slots.ts';
import { slots as toothSlots } from '../domains/tooth/slots.ts';
import type { Step } from '../job/run-sheet.ts';
import { crank, distributor, engine, step } from './authoring.ts';
import { comesOut, turned } from './shaft-questions.ts';

const IN = 'Shaft in again';

/** The drive shaft led in again on counted rings, and held down before anything turns. */
export const shaftIn: Step[] = [
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
    say: 'Spring, distributor with a new seal, clamp; then flange and push rod. Count back what was laid out.',
    why: 'Now the shaft is held down again, and not before.',
    handles: {
      'drive.spring': 'in',
      'drive.distributor': 'new seal, clamped',
      'drive.flange': 'on',
      'drive.pushrod': 'in'
    },
    accept: 'Count complete, the distributor down on its face.',
    ifSkipped: 'The shaft climbs at the first turn.',
    tools: ['seal', 'gasket'],
    minutes: 15,
    hazards: ['fuel-fire', 'spring-release'],
    needs: ['gear-meshed'],
    sets: ['shaft-held-down', 'distributor-seated', 'oil-drive-engaged', 'clamp-snug'],
    clears: ['shaft-unsupported', 'pushrod-out', 'spring-out', 'distributor-out'],
    slots: [engineSlots['small-parts-back']],
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
  })
];
