import { gearMaterials, hands } from './drive-fields.ts';
import type { Use } from './shared-steps.ts';
import { step, type OnlyIf, type Slot, type Step } from '../job/run-sheet.ts';

/** Steps about the drive itself: its float and depth, its gear, its tooth, and what it must fall into. */

const bearing = (slot: string, label: string, more: Partial<Slot> = {}): Slot => ({
  slot,
  label,
  quantity: 'bearing',
  gauge: 'eye',
  ...more
});
const options = (pairs: [string, string][], unknown = true) => [
  ...pairs.map(([id, label]) => ({ id, label })),
  ...(unknown ? [{ id: 'unknown', label: 'not known yet' }] : [])
];

export const stoppedHigh: OnlyIf = {
  fact: 'stoppedHigh',
  question: 'Did it stop short of its seat?',
  yes: 'It stopped high',
  no: 'It went right down'
};

export const coverOpenings = (u: Use): Step =>
  step({
    title: 'Openings covered, parts counted',
    say: 'Plug the bore and the openings near it; lay out and count screws, washers, springs, pins and rings.',
    why: 'A part in the case can mean a full strip.',
    accept: 'Count out equals count in.',
    ifSkipped: 'Something falls into the case.',
    tools: ['lint-free plugs', 'magnet', 'tray'],
    minutes: 3,
    hazards: ['dropped-part'],
    sets: ['openings-covered'],
    ...u
  });

export const measureWasher = (u: Use): Step =>
  step({
    title: 'Gauging washer measured',
    say: 'Zero the micrometer and read the washer in several places.',
    why: 'It is the length that everything after it is measured against.',
    accept: 'The places agree closely against the float\u2019s limits.',
    ifSkipped: 'An unknown washer spoils every later figure.',
    tools: ['micrometer'],
    minutes: 3,
    slots: [
      {
        slot: 'washer',
        label: 'washer, thickness',
        quantity: 'length',
        gauge: 'micrometer',
        required: true,
        repeats: true
      }
    ],
    surface: 'stack',
    ...u
  });

export const washerIn = (u: Use): Step =>
  step({
    title: 'Shaft in on the washer, pump engaged',
    say: 'Lay the washer on its thrust face, lower the shaft, turn the crank until the tang drops into the pump.',
    why: 'A gap means something only with the shaft right down.',
    accept: 'Shaft at the bottom; where the crank stands does not matter here.',
    ifSkipped: 'The gap is that of a shaft hanging on its tang.',
    tools: ['bar', 'lamp'],
    minutes: 6,
    helper: 'advised',
    hazards: ['barring-tool', 'pinch'],
    sets: ['gauge-washer-in', 'oil-drive-engaged'],
    needs: ['barring-tool-fitted', 'openings-covered'],
    losesCrank: true,
    ...u
  });

export const measureGap = (u: Use): Step =>
  step({
    title: 'Gap measured all round',
    say: 'Seat the pedestal without packing, nip it evenly, feel the gap in several places with the fewest blades.',
    why: 'Only several places show a tilt, and every blade of a stack adds its own doubt.',
    accept: 'Places agree; tilt noted.',
    ifSkipped: 'The packing is chosen for one corner.',
    tools: ['blades', 'spanner'],
    minutes: 6,
    needs: ['gauge-washer-in'],
    slots: [
      {
        slot: 'gap',
        label: 'gap in one place, blades as 0.81 + 0.61',
        quantity: 'length',
        gauge: 'blade',
        required: true,
        repeats: true
      }
    ],
    values: ['floatMinMm', 'floatMaxMm'],
    surface: 'stack',
    ...u
  });

export const choosePacking = (u: Use): Step =>
  step({
    title: 'Packing chosen',
    say: 'Take the packing that brings the float into its limits.',
    why: 'Float = washer less gap, plus the packing under the pedestal.',
    accept: 'Inside the limits with its uncertainty.',
    ifSkipped: 'Gear tight or loose: noise, wear, timing that wanders.',
    minutes: 3,
    sets: ['packing-chosen'],
    values: ['floatMinMm', 'floatMaxMm'],
    school: 'float-target',
    takes: ['packing'],
    surface: 'stack',
    ...u
  });

export const measurePacking = (u: Use): Step =>
  step({
    title: 'Packing measured as fitted',
    say: 'Lay the pieces together, clamp them lightly, measure what they come to.',
    why: 'Nominal sheets differ from real ones.',
    accept: 'The float stays inside its limits.',
    ifSkipped: 'The sum drifts past the limit by rounding.',
    tools: ['micrometer'],
    minutes: 4,
    slots: [{ slot: 'packing', label: 'packing together', quantity: 'length', gauge: 'micrometer', repeats: true }],
    surface: 'stack',
    ...u
  });

export const washerOut = (u: Use): Step =>
  step({
    title: 'Gauging washer out',
    say: 'Lift pedestal and shaft, take the washer out, lay it on the log sheet.',
    why: 'It is a measuring piece, never a part.',
    accept: 'The washer is seen outside the engine.',
    ifSkipped: 'The gear is jammed hard; shaft or pedestal breaks.',
    minutes: 2,
    hazards: ['dropped-part'],
    clears: ['gauge-washer-in', 'oil-drive-engaged'],
    needs: ['gauge-washer-in'],
    ...u
  });

export const measureDepth = (u: Use): Step =>
  step({
    title: 'Depth of the oil-pump drive',
    say: 'Measure the drive from its seat to its end, down to the pump\u2019s drive, and where the tang begins.',
    why: 'Too short strips, too long bottoms and pushes the pump down.',
    accept: 'Enough engaged and something left below it, both with their uncertainty.',
    ifSkipped: 'The pump stops driving under load, or the drive clamps down on it.',
    tools: ['depth gauge', 'caliper'],
    minutes: 12,
    sets: ['engagement-ok'],
    slots: [
      { slot: 'length', label: 'seat to the gear\u2019s end', quantity: 'length', gauge: 'depth', required: true },
      {
        slot: 'drive-depth',
        label: 'mounting face down to the pump drive',
        quantity: 'length',
        gauge: 'depth',
        required: true
      },
      {
        slot: 'offset',
        label: 'gear\u2019s end up to where the tang drives (below the end: minus)',
        quantity: 'length',
        gauge: 'micrometer'
      },
      { slot: 'gasket', label: 'gasket, compressed', quantity: 'length', gauge: 'micrometer' }
    ],
    values: ['minEngagementMm'],
    surface: 'stack',
    ...u
  });

export const proveFloat = (u: Use): Step =>
  step({
    title: 'Float proved on the finished drive',
    say: 'Dial on the shaft\u2019s end or the gear; push and pull.',
    why: 'A direct reading catches a mistake in the sums.',
    accept: 'Inside the limits, and equal to the sum within its uncertainty.',
    ifSkipped: 'A mistake lives on.',
    tools: ['dial indicator'],
    slots: [
      {
        slot: 'float-dial',
        label: 'float, push and pull',
        quantity: 'length',
        gauge: 'dial',
        required: true,
        repeats: true
      }
    ],
    sets: ['float-verified'],
    surface: 'stack',
    ...u
  });

export const compareGears = (u: Use): Step =>
  step({
    title: 'Old and new compared',
    say: 'Lay them side by side: count teeth, look at the hand, measure bore and outside.',
    why: 'A gear that goes in may still not be the same.',
    accept: 'Everything equal, the pair of materials agreed in writing.',
    ifSkipped: 'A ruined camshaft, an engine that cannot be timed, no oil drive.',
    tools: ['caliper', 'chalk', 'lamp'],
    minutes: 15,
    sets: ['unit-compared', 'gear-material-ok'],
    slots: [
      { slot: 'new-teeth', label: 'new gear, teeth', quantity: 'count', gauge: 'eye' },
      { slot: 'new-module', label: 'new gear, module or DP', quantity: 'pitch', gauge: 'eye' },
      { slot: 'new-bore', label: 'new gear, bore', quantity: 'length', gauge: 'micrometer' },
      { slot: 'new-outside', label: 'new gear, outside diameter', quantity: 'length', gauge: 'micrometer' }
    ],
    choices: [
      { id: 'new-hand', question: 'Hand of the new gear', options: options(hands) },
      { id: 'new-material', question: 'The new gear is of', options: options(gearMaterials) }
    ],
    surface: 'gears',
    ...u
  });

export const witnessMarks = (u: Use): Step =>
  step({
    title: 'Witness marks made',
    say: 'Scribe housing to block; sight along the rotor to a fixed point and read its bearing; mark number one on cap and rim.',
    why: 'With marks, refitting is a matter of matching.',
    accept: 'Housing to block and rotor to a fixed point, at least.',
    ifSkipped: 'The distributor goes back as if nothing were known.',
    tools: ['straightedge', 'scriber or paint'],
    sets: ['witness-marks', 'cap-off'],
    slots: [
      bearing('rotor-mark', 'rotor to the fixed point, bearing from above', { required: true }),
      bearing('housing-mark', 'housing\u2019s datum, bearing from above', { required: true })
    ],
    surface: 'witness',
    ...u
  });

export const withdraw = (u: Use): Step =>
  step({
    title: 'Distributor out, rotor\u2019s turn read',
    say: 'Loosen the clamp, lift straight with a slight twist, and see how far the rotor turns until the gear is free.',
    why: 'What it turns coming out it turns going in.',
    accept: 'The turn is read; the oil-pump shaft stayed behind.',
    ifSkipped: 'Going in is trial and error, and the pump shaft may fall into the case.',
    tools: ['spanner', 'marker'],
    hazards: ['dropped-part'],
    sets: ['distributor-out'],
    clears: ['distributor-seated', 'oil-drive-engaged', 'gear-meshed'],
    needs: ['crank-at-reference', 'witness-marks'],
    slots: [{ slot: 'twist', label: 'rotor\u2019s turn while lifting', quantity: 'angle', gauge: 'eye' }],
    ...u
  });

export const holdStill = (u: Use): Step =>
  step({
    title: 'Crank left alone',
    say: 'Tag the starter, take the bar off, do not move the machine.',
    why: 'Matching marks work only if nothing moved.',
    accept: 'Untouched. If it moved, say so: the crank is found again.',
    ifSkipped: 'Marks are trusted although the engine has moved.',
    minutes: 1,
    hazards: ['inadvertent-start'],
    clears: ['barring-tool-fitted'],
    ...u
  });

export const planTooth = (u: Use): Step =>
  step({
    title: 'Tooth and tower chosen',
    say: 'Read the rotor\u2019s bearing and the two ends of the housing\u2019s free arc.',
    why: 'Trial and error finds a tooth; whether there is room to set the timing shows only when the engine is back together.',
    accept: 'Room both ways for the planned adjustment and some more.',
    ifSkipped: 'The housing ends at an obstacle.',
    minutes: 6,
    slots: [
      bearing('rotor-seen', 'rotor in the tooth it found'),
      bearing('arc-min', 'housing\u2019s datum free from'),
      bearing('arc-max', 'free to, clockwise')
    ],
    choices: [
      {
        id: 'number-one',
        question: 'Number one on the cap',
        field: 'numberOneTower',
        options: [
          { id: 'factory', label: 'fixed' },
          { id: 'any', label: 'any tower' }
        ]
      }
    ],
    values: ['rotorDirection', 'ratio', 'gearTeeth', 'firingOrder', 'staticBtdc', 'terminalOffsetDeg'],
    school: 'index-order',
    surface: 'tooth',
    ...u
  });

export const leadRotor = (u: Use): Step =>
  step({
    title: 'Where to point the rotor first',
    say: 'Read how far the rotor turned on lifting out, or how far the gear travels in mesh.',
    why: 'The helix turns the rotor while the gear goes down.',
    accept: 'Rotor led by the turn it will make.',
    ifSkipped: 'Several lifts, a tooth out.',
    minutes: 2,
    slots: [
      { slot: 'twist', label: 'rotor\u2019s turn while lifting', quantity: 'angle', gauge: 'eye' },
      { slot: 'travel', label: 'travel in mesh, if the turn was not seen', quantity: 'length', gauge: 'depth' }
    ],
    values: ['gearHand'],
    surface: 'tooth',
    ...u
  });

export const dropIn = (u: Use): Step =>
  step({
    title: 'Oil-pump drive made to fall in',
    say: 'Read tang and slot, then turn the pump by hand, or the crank until it drops.',
    why: 'Gear and pump must both find their place, and force breaks one of them.',
    accept: 'It drops within one position of the pump drive; beyond that, stop and look.',
    ifSkipped: 'The clamp pulls the flange down and breaks it.',
    tools: ['priming tool or long blade', 'lamp', 'bar'],
    helper: 'yes',
    hazards: ['barring-tool', 'rotating', 'pinch'],
    clears: ['crank-at-reference'],
    losesCrank: true,
    needs: ['gear-meshed', 'battery-isolated'],
    slots: [
      bearing('tang', 'tang of the drive, bearing from above'),
      bearing('pump-slot', 'slot of the pump, bearing from above'),
      { slot: 'turned-on', label: 'crank turned forward until it dropped', quantity: 'angle', gauge: 'wheel' }
    ],
    values: ['rotorDirection', 'ratio', 'pumpDrive'],
    school: 'oil-drive',
    onlyIf: stoppedHigh,
    surface: 'drop',
    ...u
  });

export const readContact = (u: Use): Step =>
  step({
    title: 'Contact on the teeth read',
    say: 'Coat the gear thinly, fit it, drag the shaft lightly, two turns forward by hand, lift and read where the compound is wiped.',
    why: 'The eye cannot see depth in the bore; the teeth show it.',
    accept: 'Near the middle of the loaded flank, off both edges.',
    ifSkipped: 'Contact on an edge wears out quickly.',
    tools: ['marking compound', 'bar', 'caliper'],
    minutes: 12,
    helper: 'advised',
    hazards: ['barring-tool', 'pinch'],
    needs: ['battery-isolated'],
    slots: [
      {
        slot: 'patch-low',
        label: 'lower end of the contact, above the tooth\u2019s lower end',
        quantity: 'length',
        gauge: 'micrometer',
        required: true,
        repeats: true
      },
      {
        slot: 'patch-high',
        label: 'upper end of the contact',
        quantity: 'length',
        gauge: 'micrometer',
        required: true,
        repeats: true
      }
    ],
    values: ['gearFaceMm'],
    surface: 'patch',
    ...u
  });

export const traceLeads = (u: Use): Step =>
  step({
    title: 'Leads traced, tower by tower',
    say: 'Begin at the tower the rotor faces when number one fires, then clockwise from above: type the cylinder each lead goes to.',
    why: 'Order and direction both matter, and a wrong one has a name.',
    accept: 'The traced order is the firing order in the rotor\u2019s direction.',
    ifSkipped: 'Backfire, crossfire, rough running.',
    minutes: 8,
    hazards: ['hv-ignition'],
    sets: ['leads-fitted'],
    needs: ['battery-isolated'],
    slots: [
      { slot: 'wire', label: 'next tower\u2019s lead goes to cylinder', quantity: 'count', gauge: 'eye', repeats: true }
    ],
    values: ['rotorDirection', 'firingOrder'],
    school: 'lead-transfer',
    surface: 'wires',
    ...u
  });

export const rotorTip = (u: Use): Step =>
  step({
    title: 'Rotor tip under its terminal at the spark',
    say: 'With the trigger just firing at rest, read how far the tip stands past its terminal in the rotor\u2019s direction.',
    why: 'Whatever moves the trigger against the housing moves the spark away from the terminal.',
    accept: 'Tip and terminal overlap over the whole range.',
    ifSkipped: 'Crossfire, a burnt cap, a miss that looks like timing.',
    tools: ['caliper', 'marker'],
    minutes: 6,
    slots: [
      {
        slot: 'tip-offset',
        label: 'tip past its terminal at rest, distributor degrees',
        quantity: 'angle',
        gauge: 'eye'
      },
      { slot: 'tip-width', label: 'tip, width', quantity: 'length', gauge: 'micrometer' },
      { slot: 'terminal-width', label: 'terminal, width', quantity: 'length', gauge: 'micrometer' },
      { slot: 'tip-radius', label: 'tip, radius', quantity: 'length', gauge: 'micrometer' },
      { slot: 'tip-gap', label: 'tip to terminal, radial', quantity: 'length', gauge: 'micrometer' }
    ],
    surface: 'tip',
    ...u
  });
