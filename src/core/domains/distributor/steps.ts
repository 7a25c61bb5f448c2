import type { Step, StepChoice } from '../../job/run-sheet.ts';
import { slots } from './slots.ts';
import type { Use } from '../../job/vocabulary.ts';
import { step } from './vocabulary.ts';

/** Steps of the distributor itself: lifted out, sealed, seated, clamped, turned by hand. */
export const clampReady = (u: Use): Step =>
  step(
    {
      title: 'Clamp bolt started, clamp back',
      say: 'Start the clamp bolt and slide the clamp out of the way.',
      why: 'No fishing for it with the distributor in place.',
      handles: { 'distributor.bolt': 'started', 'distributor.clamp': 'slid back' },
      ifSkipped: 'The distributor is disturbed while the clamp goes on.',
      minutes: 1,
      hazards: ['dropped-part']
    },
    u
  );

export const sealOn = (u: Use): Step =>
  step(
    {
      title: 'Seal on, gear wet',
      say: 'Clean both faces, fit a fresh seal the right way up, wet gear and shank; a fresh gear or camshaft gets the lubricant its maker asks for.',
      why: 'A leak or a dry start is avoidable here.',
      handles: {
        'distributor.seat': 'both faces clean',
        'distributor.seal': 'fresh, right way up',
        'distributor.gear': 'wet, and its shank'
      },
      accept: 'Seal undamaged, of the thickness used in the sums.',
      ifSkipped: 'Oil leak, scuffed gear, another depth than worked out.',
      minutes: 4,
      hazards: ['solvent'],
      sets: ['gasket-fitted', 'gear-lubed'],
      slots: [slots.gasket]
    },
    u
  );

export const pumpShaft = (u: Use): Step =>
  step(
    {
      title: 'Oil-pump shaft in its place',
      say: 'Look down the bore: the pump shaft must be there and at its depth.',
      why: 'Some shafts cling to the gear and fall, and a fresh build may lack it.',
      handles: { 'distributor.pump': 'there, and at its depth' },
      accept: 'Shaft seen in the bore.',
      ifSkipped: 'No oil pressure at the start.',
      tools: ['lamp', 'magnet'],
      minutes: 2,
      hazards: ['dropped-part'],
      sets: ['pump-shaft-present']
    },
    u
  );

export const pumpSlotSet = (u: Use): Step =>
  step(
    {
      title: 'Oil-pump slot set',
      say: 'Turn the pump shaft with a long blade to the angle the tang will have when seated.',
      why: 'Gear and pump drive must both find their place.',
      handles: { 'distributor.pump': 'slot turned for the tang', 'distributor.tang': 'as it stands when seated' },
      accept: 'Within reach of the chamfer.',
      ifSkipped: 'The distributor stops short of its seat.',
      tools: ['long blade or priming tool', 'lamp'],
      minutes: 4,
      hazards: ['dropped-part'],
      sets: ['oil-drive-prealigned'],
      needs: ['pump-shaft-present']
    },
    u
  );

export const seated = (u: Use): Step =>
  step(
    {
      title: 'Seated on its face',
      say: 'See the flange touch all round; pull and push the gear end and feel float.',
      why: 'Held up by the drive, or bottomed on it, it fails quickly.',
      handles: { 'distributor.seat': 'touches all round', 'distributor.gear': 'pulled and pushed: float' },
      accept: 'No gap before clamping; float not less than on the bench.',
      ifSkipped: 'No oil drive, or thrust load that wears gear and pump.',
      tools: ['blades', 'lamp'],
      minutes: 3,
      sets: ['distributor-seated'],
      needs: ['gear-meshed'],
      slots: [slots.float]
    },
    u
  );

export const clampSnug = (u: Use): Step =>
  step(
    {
      title: 'Clamp snug',
      say: 'Set the clamp square and tighten until the housing moves only on purpose.',
      why: 'It must turn by hand, but not by the drive\u2019s push.',
      handles: { 'distributor.clamp': 'square on its collar', 'distributor.rim': 'moves only on purpose' },
      ifSkipped: 'The timing drifts during the start.',
      minutes: 2,
      sets: ['clamp-snug'],
      needs: ['distributor-seated'],
      acts: ['clamps']
    },
    u
  );

/** Asked when the distributor is in hand for the first time: it answers the later step's question. */
export const pinSeen: StepChoice = {
  id: 'pin-seen',
  question: 'A lock pin in the distributor',
  options: [
    { id: 'in', label: 'is in it: leave it in, tag it' },
    { id: 'none', label: 'there is none' }
  ],
  answers: { fact: 'pinned', yes: 'in' }
};

export const pinOut = (u: Use): Step =>
  step(
    {
      title: 'Lock pin out',
      say: 'Once the gear is in mesh draw the pin the distributor came with, and lay it down in sight.',
      why: 'It shears on the first turn.',
      handles: { 'distributor.lock': 'drawn, laid down in sight', 'distributor.gear': 'in mesh before that' },
      ifSkipped: 'Broken rotor, pin or gear.',
      minutes: 1,
      clears: ['rotor-pin-in'],
      onlyIf: {
        fact: 'pinned',
        question: 'Did the distributor come with a lock pin in it?',
        yes: 'It is pinned',
        no: 'No pin',
        flag: 'rotor-pin-in'
      }
    },
    u
  );

export const withdraw = (u: Use): Step =>
  step(
    {
      title: 'Distributor out, swing read',
      say: 'Loosen the clamp, lift straight with a slight twist, and see how far the rotor turns until the gear is free.',
      why: 'What it turns coming out it turns going in.',
      handles: {
        'distributor.clamp': 'loosened',
        'distributor.rotor': 'how far it turns',
        'distributor.gear': 'free',
        'distributor.pump': 'stays behind'
      },
      accept: 'The turn is read; the oil-pump shaft stayed behind.',
      ifSkipped: 'Going in is trial and error, and the pump shaft may fall into the case.',
      tools: ['spanner', 'marker'],
      hazards: ['dropped-part'],
      sets: ['distributor-out'],
      clears: ['distributor-seated', 'oil-drive-engaged', 'gear-meshed'],
      needs: ['crank-at-reference', 'witness-marks'],
      slots: [slots.twist],
      acts: ['opens-up']
    },
    u
  );

export const twoTurns = (u: Use): Step =>
  step(
    {
      title: 'Two turns by hand',
      say: 'Turn forward two full turns and watch the rotor come back under number one at the reference.',
      why: 'Rotor, pump drive and marks are seen moving together before the starter does it.',
      accept: 'It returns within a line\u2019s width, no tight spot.',
      ifSkipped: 'A hidden bind or wrong seat goes to the starter.',
      helper: 'advised',
      hazards: ['barring-tool'],
      needs: ['distributor-seated'],
      mustBeOff: ['rotor-pin-in'],
      acts: ['turns-crank']
    },
    u
  );

/** Priming through the bore turns the slot of the pump: it stands before the slot is set. */
export const primedByBore = (u: Use): Step =>
  oilPrimed({
    title: 'Oil primed through the bore',
    say: 'Unit out: turn the pump with the priming tool in its own sense until pressure shows and oil reaches the top; leave the crank alone.',
    sets: ['oil-primed'],
    clears: ['oil-drive-prealigned'],
    acts: ['primes-by-bore'],
    onlyWay: { school: 'prime', is: ['bore'], usual: 'bore' },
    ...u
  });

export const oilPrimed = (u: Use): Step =>
  step(
    {
      title: 'Oil primed',
      say: 'Drive the pump until pressure shows and oil reaches the top.',
      why: 'A new or drained engine must not start dry.',
      accept: 'Pressure steady, oil seen.',
      ifSkipped: 'First seconds without oil.',
      tools: ['priming tool', 'drill'],
      ways: {
        prime: {
          starter: {
            say: 'Plugs out once more, fuel and spark off, people clear: turn the engine by the starter until pressure shows. Then put the plugs back and look at the firing point again.',
            tools: ['oil pressure gauge'],
            minutes: 8,
            helper: 'yes',
            acts: ['cranks-by-power']
          },
          gallery: {
            say: 'Press oil into a gallery until pressure shows and oil reaches the top; that proves the galleries and not the pump, so watch the pressure at the first start.',
            tools: ['pressure can', 'adaptor', 'oil pressure gauge'],
            minutes: 12
          }
        }
      },
      minutes: 15,
      helper: 'advised',
      hazards: ['rotating'],
      sets: ['oil-primed'],
      mustBeOff: ['ignition-live'],
      slots: [slots.oil]
    },
    u
  );
