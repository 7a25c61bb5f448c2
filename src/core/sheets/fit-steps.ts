import { step, type Slot, type Step } from '../job/run-sheet.ts';
import type { Use } from './shared-steps.ts';

/** Where the trigger fires, by each way of seeing it; what is set at the rim beside it. */
export const firingSlots: Slot[] = [
  { slot: 'fires', label: 'trigger fires, read on the wheel', quantity: 'timing', gauge: 'wheel', repeats: true },
  {
    slot: 'fires-edge',
    label: 'tooth at its pole, read on the wheel',
    quantity: 'timing',
    gauge: 'wheel',
    repeats: true
  },
  { slot: 'fires-spark', label: 'flash seen, read on the wheel', quantity: 'timing', gauge: 'wheel', repeats: true },
  { slot: 'fires-vane', label: 'sensor changes, read on the wheel', quantity: 'timing', gauge: 'wheel', repeats: true },
  {
    slot: 'fires-tip',
    label: 'tip under its terminal, read on the wheel',
    quantity: 'timing',
    gauge: 'wheel',
    repeats: true
  },
  { slot: 'rim', label: 'housing at the rim scale', quantity: 'length', gauge: 'micrometer', repeats: true }
];

/** Steps of fitting and timing a distributor, shared by every run sheet that fits one. */
export const chooseTower = (u: Use): Step =>
  step({
    title: 'Number-one tower chosen',
    say: 'Choose the tower for number one where leads reach and the housing can turn both ways; read its bearing.',
    why: 'Electrically any tower will do; leads, harness and room decide.',
    accept: 'Leads reach, room both ways, marked on cap and rim.',
    ifSkipped: 'Leads too short, or no room to set the timing.',
    tools: ['paint'],
    minutes: 4,
    needs: ['crank-at-reference'],
    slots: [{ slot: 'tower', label: 'tower of number one, bearing from above', quantity: 'bearing', gauge: 'eye' }],
    values: ['rotorDirection', 'firingOrder'],
    surface: 'cap',
    ...u
  });

export const clampReady = (u: Use): Step =>
  step({
    title: 'Clamp bolt started, clamp back',
    say: 'Start the clamp bolt and slide the clamp out of the way.',
    why: 'No fishing for it with the distributor in place.',
    ifSkipped: 'The distributor is disturbed while the clamp goes on.',
    minutes: 1,
    hazards: ['dropped-part'],
    ...u
  });

export const sealOn = (u: Use): Step =>
  step({
    title: 'Seal on, gear wet',
    say: 'Clean both faces, fit a fresh seal the right way up, wet gear and shank.',
    why: 'A leak or a dry start is avoidable here.',
    accept: 'Seal undamaged, of the thickness used in the sums.',
    ifSkipped: 'Oil leak, scuffed gear, another depth than worked out.',
    minutes: 4,
    hazards: ['solvent'],
    sets: ['gasket-fitted'],
    slots: [{ slot: 'gasket', label: 'gasket thickness', quantity: 'length', gauge: 'dial' }],
    ...u
  });

export const pumpShaft = (u: Use): Step =>
  step({
    title: 'Oil-pump shaft in its place',
    say: 'Look down the bore: the pump shaft must be there and at its depth.',
    why: 'Some shafts cling to the gear and fall, and a fresh build may lack it.',
    accept: 'Shaft seen in the bore.',
    ifSkipped: 'No oil pressure at the start.',
    tools: ['lamp', 'magnet'],
    minutes: 2,
    hazards: ['dropped-part'],
    sets: ['pump-shaft-present'],
    ...u
  });

export const pumpSlotSet = (u: Use): Step =>
  step({
    title: 'Oil-pump slot set',
    say: 'Turn the pump shaft with a long blade to the angle the tang will have when seated.',
    why: 'Gear and pump drive must both find their place.',
    accept: 'Within reach of the chamfer.',
    ifSkipped: 'The distributor stops short of its seat.',
    tools: ['long blade or priming tool', 'lamp'],
    minutes: 4,
    hazards: ['dropped-part'],
    sets: ['oil-drive-prealigned'],
    needs: ['pump-shaft-present'],
    ...u
  });

export const letDown = (u: Use): Step =>
  step({
    title: 'Rotor led, distributor let down',
    say: 'Point the rotor off its tower by the turn it makes going down, then lower without force.',
    why: 'The helix turns the rotor while the gear goes in.',
    accept: 'Rotor within half a gear tooth of its target when down.',
    ifSkipped: 'A tooth out; the housing cannot reach its setting.',
    minutes: 5,
    hazards: ['pinch', 'dropped-part'],
    sets: ['gear-meshed'],
    clears: ['distributor-out'],
    needs: ['crank-at-reference', 'compression-confirmed', 'gasket-fitted'],
    slots: [{ slot: 'rotor', label: 'rotor at rest, bearing from above', quantity: 'bearing', gauge: 'eye' }],
    surface: 'cap',
    values: ['rotorDirection', 'firingOrder'],
    ...u
  });

export const seated = (u: Use): Step =>
  step({
    title: 'Seated on its face',
    say: 'See the flange touch all round; pull and push the gear end and feel float.',
    why: 'Held up by the drive, or bottomed on it, it fails quickly.',
    accept: 'No gap before clamping; float not less than on the bench.',
    ifSkipped: 'No oil drive, or thrust load that wears gear and pump.',
    tools: ['blades', 'lamp'],
    minutes: 3,
    sets: ['distributor-seated'],
    needs: ['gear-meshed'],
    slots: [{ slot: 'float', label: 'float at the gear', quantity: 'length', gauge: 'blade' }],
    ...u
  });

export const toothJudged = (u: Use): Step =>
  step({
    title: 'Tooth judged',
    say: 'Compare the rotor with its tower: more than half a tooth off, lift and move one.',
    why: 'Half-tooth cases are common; of two equal ones keep the one with more room to advance.',
    accept: 'Rotor error not more than half a tooth, and room left.',
    ifSkipped: 'The housing ends at its limit.',
    minutes: 4,
    sets: ['tooth-chosen'],
    needs: ['distributor-seated'],
    slots: [{ slot: 'rotor', label: 'rotor seated, bearing from above', quantity: 'bearing', gauge: 'eye' }],
    surface: 'cap',
    values: ['rotorDirection', 'firingOrder'],
    ...u
  });

export const indexHousing = (u: Use): Step =>
  step({
    title: 'Housing to the firing point',
    say: 'Turn the housing against the rotor until the trigger just fires at the reference.',
    why: 'The housing sets when the trigger fires; finishing against the rotor leaves slack on the running side.',
    accept: 'It fires at the reference on a repeat.',
    ifSkipped: 'No start, or a wild one.',
    tools: ['lamp or meter'],
    minutes: 8,
    hazards: ['hv-ignition'],
    sets: ['housing-indexed'],
    needs: ['distributor-seated', 'crank-at-reference', 'compression-confirmed', 'slack-taken-up'],
    slots: firingSlots,
    school: 'trigger',
    surface: 'timing',
    values: ['staticBtdc', 'rotorDirection', 'ratio'],
    ...u
  });

export const roomBothWays = (u: Use): Step =>
  step({
    title: 'Room both ways',
    say: 'Turn the housing each way to its obstacle, read both, return to the firing point.',
    why: 'There must be room to set the timing later.',
    accept: 'Room both ways for the planned adjustment and some more.',
    ifSkipped: 'The timing cannot be reached and the drive comes out again.',
    minutes: 2,
    sets: ['housing-room-ok'],
    needs: ['distributor-seated'],
    slots: [
      { slot: 'room-cw', label: 'free clockwise, housing degrees', quantity: 'angle', gauge: 'eye' },
      { slot: 'room-ccw', label: 'free anticlockwise, housing degrees', quantity: 'angle', gauge: 'eye' }
    ],
    ...u
  });

export const clampSnug = (u: Use): Step =>
  step({
    title: 'Clamp snug',
    say: 'Set the clamp square and tighten until the housing moves only on purpose.',
    why: 'It must turn by hand, but not by the drive\u2019s push.',
    ifSkipped: 'The timing drifts during the start.',
    minutes: 2,
    sets: ['clamp-snug'],
    needs: ['distributor-seated'],
    ...u
  });

export const pinOut = (u: Use): Step =>
  step({
    title: 'Lock pin out',
    say: 'Draw the pin the distributor came with and lay it down in sight.',
    why: 'It shears on the first turn.',
    ifSkipped: 'Broken rotor, pin or gear.',
    minutes: 1,
    clears: ['rotor-pin-in'],
    onlyIf: {
      fact: 'pinned',
      question: 'Did the distributor come with a lock pin in it?',
      yes: 'It is pinned',
      no: 'No pin'
    },
    ...u
  });

export const capOn = (u: Use): Step =>
  step({
    title: 'Cap on, number one proved',
    say: 'Seat the cap in its notch, carry the tower\u2019s line to the rim, lift it, compare with the rotor, refit.',
    why: 'A rotor that points well may still stand under another tower.',
    accept: 'Rotor tip under the tower of number one.',
    ifSkipped: 'All leads one tower round.',
    minutes: 3,
    needs: ['housing-indexed'],
    mustBeOff: ['rotor-pin-in'],
    surface: 'cap',
    values: ['rotorDirection', 'firingOrder'],
    ...u
  });

export const leadsInOrder = (u: Use): Step =>
  step({
    title: 'Leads in firing order',
    say: 'From number one in the rotor\u2019s direction, then trace each lead to its cylinder.',
    why: 'Order and direction both matter.',
    accept: 'The traced order is the firing order.',
    ifSkipped: 'Backfire, crossfire, rough running.',
    minutes: 8,
    hazards: ['hv-ignition'],
    sets: ['leads-fitted'],
    needs: ['battery-isolated'],
    surface: 'cap',
    values: ['rotorDirection', 'firingOrder'],
    ...u
  });

export const twoTurns = (u: Use): Step =>
  step({
    title: 'Two turns by hand',
    say: 'Turn forward two full turns and watch the rotor come back under number one at the reference.',
    why: 'Rotor, pump drive and marks are seen moving together before the starter does it.',
    accept: 'It returns within a line\u2019s width, no tight spot.',
    ifSkipped: 'A hidden bind or wrong seat goes to the starter.',
    helper: 'advised',
    hazards: ['barring-tool'],
    needs: ['distributor-seated'],
    mustBeOff: ['rotor-pin-in'],
    ...u
  });

export const oilPrimed = (u: Use): Step =>
  step({
    title: 'Oil primed',
    say: 'Drive the pump until pressure shows and oil reaches the top.',
    why: 'A new or drained engine must not start dry.',
    accept: 'Pressure steady, oil seen.',
    ifSkipped: 'First seconds without oil.',
    tools: ['priming tool', 'drill'],
    minutes: 15,
    helper: 'advised',
    hazards: ['rotating'],
    sets: ['oil-primed'],
    mustBeOff: ['ignition-live'],
    slots: [{ slot: 'oil', label: 'oil pressure', quantity: 'pressure', gauge: 'pressure' }],
    ...u
  });

export const hoseOff = (u: Use): Step =>
  step({
    title: 'Vacuum hose off and plugged',
    say: 'Take the hose off the vacuum unit and plug it.',
    why: 'Vacuum adds advance and hides the initial setting.',
    ifSkipped: 'The initial setting is read with vacuum in it.',
    minutes: 1,
    sets: ['vacuum-plugged'],
    onlyIf: { fact: 'vacuumUnit', question: 'Is a vacuum unit fitted?', yes: 'Fitted', no: 'None' },
    ...u
  });

export const strobeOn = (u: Use): Step =>
  step({
    title: 'Strobe connected',
    say: 'Supply leads clear of the fan, pickup on number one\u2019s lead, away from its neighbours.',
    why: 'Leads and fan share the space; crossfire flashes for the wrong cylinder.',
    accept: 'Steady flash.',
    ifSkipped: 'The wrong cylinder is read.',
    minutes: 3,
    hazards: ['rotating', 'hv-ignition'],
    sets: ['strobe-connected'],
    ...u
  });

export const nothingLeft = (u: Use): Step =>
  step({
    title: 'Nothing left on or in',
    say: 'Walk the list: bar, wheel, probe, pin, rags, tools near the fan; guards on; oil and coolant.',
    why: 'Most start-up damage is something left in or on.',
    accept: 'Every temporary thing accounted for.',
    ifSkipped: 'A thrown bar, a sheared pin, a cracked piston.',
    helper: 'advised',
    hazards: ['barring-tool', 'rotating'],
    sets: ['sweep-done'],
    clears: ['barring-tool-fitted', 'plugs-out', 'degree-wheel-on'],
    mustBeOff: ['probe-in', 'piston-stop-in', 'rotor-pin-in'],
    needs: ['clamp-snug', 'leads-fitted'],
    ...u
  });

export const firstStart = (u: Use): Step =>
  step({
    title: 'First start',
    say: 'Battery and fuel back, short bursts; watch oil pressure, listen for kick and backfire.',
    why: 'A short first run is a measurement.',
    accept: 'Runs without kick or backfire, oil pressure up.',
    ifSkipped: 'Symptoms go unseen, and cranking goes on doing harm.',
    tools: ['extinguisher', 'remote switch'],
    minutes: 10,
    helper: 'yes',
    hazards: ['first-start', 'rotating'],
    sets: ['engine-running', 'ignition-live'],
    losesCrank: true,
    clears: ['battery-isolated', 'fuel-disabled'],
    needs: ['sweep-done', 'clamp-snug'],
    slots: [{ slot: 'idle', label: 'idle speed', quantity: 'speed', gauge: 'tacho' }],
    ...u
  });

export const strobeInitial = (u: Use): Step =>
  step({
    title: 'Initial timing by strobe',
    say: 'At warm idle, hose plugged, read the mark square on; turn the housing, read again.',
    why: 'The whole curve stands on this figure.',
    accept: 'Inside the data sheet\u2019s limits with its uncertainty.',
    ifSkipped: 'The curve lies on a false base.',
    tools: ['strobe', 'tachometer'],
    minutes: 6,
    hazards: ['rotating', 'hot-surface', 'hv-ignition'],
    sets: ['base-timing-set'],
    needs: ['engine-running', 'strobe-connected', 'clamp-snug'],
    slots: [
      {
        slot: 'strobe',
        label: 'strobe on the mark, at idle',
        quantity: 'timing',
        gauge: 'strobe',
        required: true,
        repeats: true
      },
      { slot: 'strobe-again', label: 'strobe on the mark, repeat', quantity: 'timing', gauge: 'strobe', repeats: true }
    ],
    surface: 'timing',
    values: ['staticBtdc', 'rotorDirection', 'ratio'],
    ...u
  });

export const clampFinal = (u: Use): Step =>
  step({
    title: 'Clamp at torque, timing unchanged',
    say: 'Stop the engine, tighten the clamp to the data sheet, start, see that the reading has not moved.',
    why: 'Tightening can move the housing.',
    accept: 'Torque reached, timing unchanged within reading error.',
    ifSkipped: 'The timing walks in service.',
    tools: ['torque wrench', 'strobe'],
    minutes: 4,
    hazards: ['rotating', 'overtorque'],
    sets: ['clamp-final'],
    clears: ['engine-running', 'ignition-live'],
    needs: ['base-timing-set'],
    slots: [{ slot: 'torque', label: 'clamp bolt', quantity: 'torque', gauge: 'torque' }],
    ...u
  });
