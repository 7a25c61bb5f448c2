import type { OnlyIf, Step } from '../../job/run-sheet.ts';
import { firingSlots, slots } from './slots.ts';
import { allBack } from '../walk/slots.ts';
import type { Use } from '../../job/vocabulary.ts';
import { step } from './vocabulary.ts';

/** Asked until the data sheet answers it. */
export const vacuumFitted: OnlyIf = {
  fact: 'vacuumUnit',
  question: 'Is a vacuum capsule fitted?',
  yes: 'Fitted',
  no: 'None',
  field: { name: 'vacuumUnit', yes: 'fitted' }
};

export const setGap = (u: Use): Step =>
  step(
    {
      title: 'Gap and dwell set',
      say: 'Set the gap on the peak of the lobe, read the dwell; after a change read the dwell again.',
      why: 'The gap moves the timing, the timing does not move the gap.',
      accept: 'Both inside their limits.',
      ifSkipped: 'The timing moves when the gap is put right later.',
      tools: ['blades', 'dwell meter'],
      minutes: 6,
      sets: ['gap-set'],
      needs: ['battery-isolated'],
      slots: [slots['contact-gap'], slots.dwell],
      surface: 'gap'
    },
    u
  );

export const identifyTrigger = (u: Use): Step =>
  step(
    {
      title: 'Trigger and its firing edge known',
      say: 'Read in the wiring data what triggers, and which edge or polarity fires; never go by likeness.',
      why: 'The edge decides where the housing belongs.',
      accept: 'From the wiring data, and written down.',
      ifSkipped: 'A constant offset of about a pole\u2019s width.',
      tools: ['wiring data', 'meter'],
      minutes: 4,
      sets: ['trigger-verified'],
      needs: ['battery-isolated'],
      choices: [
        {
          id: 'trigger-is',
          question: 'The trigger is',
          field: 'triggerKind',
          options: [
            { id: 'contacts', label: 'contacts' },
            { id: 'induction', label: 'induction pickup' },
            { id: 'vane', label: 'vane in a sensor' }
          ]
        },
        {
          id: 'polarity',
          question: 'It fires as the signal',
          options: [
            { id: 'rises', label: 'rises through zero' },
            { id: 'falls', label: 'falls through zero' },
            { id: 'entering', label: 'vane enters' },
            { id: 'leaving', label: 'vane leaves' },
            { id: 'opening', label: 'contacts open' }
          ]
        }
      ]
    },
    u
  );

export const biasChosen = (u: Use): Step =>
  step(
    {
      title: 'Bias for the first start, if any',
      say: 'Keep the exact setting, or turn the housing a little on purpose and log it as a bias.',
      why: 'A method that reads late, or a fresh camshaft, may want it; unlogged it is a mistake waiting.',
      accept: 'Logged as a bias, cleared at the strobe.',
      ifSkipped: 'A kick or a backfire, or an offset that nobody knows of.',
      minutes: 2,
      slots: [slots.bias],
      schools: ['bias'],
      surface: 'bias',
      needs: ['housing-indexed']
    },
    u
  );

export const indexHousing = (u: Use): Step =>
  step(
    {
      title: 'Housing to the firing point',
      say: 'Turn the housing against the rotor until the trigger just fires at the reference.',
      why: 'The housing sets when the trigger fires; finishing against the rotor leaves slack on the running side.',
      accept: 'It fires at the reference on a repeat.',
      ifSkipped: 'No start, or a wild one.',
      tools: ['lamp or meter'],
      minutes: 8,
      hazards: ['hv-ignition'],
      sets: ['housing-indexed'],
      needs: ['distributor-seated', 'crank-at-reference', 'compression-confirmed', 'backlash-taken-up'],
      slots: firingSlots,
      schools: ['reference-angle', 'trigger'],
      ways: {
        trigger: {
          lamp: { tools: ['lamp or meter'] },
          edge: {
            say: 'Turn the housing against the rotor until the trigger tooth stands edge to edge with its pole, at the reference.',
            accept: 'Edge to edge at the reference on a repeat, within the width the eye tells.',
            tools: ['lamp', 'mirror']
          },
          spark: {
            say: 'Fuel off, plug of number one on a tester: turn the housing slowly against the rotor until it sparks, the crank still at the reference.',
            tools: ['spark tester', 'strobe']
          },
          vane: {
            say: 'Sensor on a low-current supply: turn the housing against the rotor until its output steps at the edge that fires, at the reference.',
            tools: ['meter', 'low-current supply']
          },
          tip: {
            say: 'Turn the housing against the rotor until the rotor\u2019s tip stands in the middle of number one\u2019s terminal: coarse, good for a first start alone.',
            accept: 'Tip at the terminal; the strobe decides.',
            tools: ['lamp']
          }
        }
      },
      role: 'at-rest',
      adjusts: ['housing'],
      surface: 'timing',
      acts: ['indexes'],
      values: ['staticBtdc', 'rotorDirection', 'ratio']
    },
    u
  );

export const powerOff = (u: Use): Step =>
  step(
    {
      title: 'Power off again',
      say: 'Ignition off, tester away, battery earth lead off once more.',
      why: 'Whatever saw the trigger fire is still live: coil and module overheat, and the next touch fires a plug.',
      accept: 'Dead: a start attempt does nothing.',
      ifSkipped: 'A hand on a live lead, or a crank that is turned with a spark in it.',
      minutes: 1,
      hazards: ['hv-ignition', 'inadvertent-start'],
      sets: ['battery-isolated'],
      clears: ['ignition-live']
    },
    u
  );

export const roomBothWays = (u: Use): Step =>
  step(
    {
      title: 'Room both ways',
      say: 'Turn the housing each way to its obstacle, read both, return to the firing point.',
      why: 'There must be room to set the timing later.',
      accept: 'Room both ways for the planned adjustment and some more.',
      ifSkipped: 'The timing cannot be reached and the drive comes out again.',
      minutes: 2,
      sets: ['housing-room-ok'],
      needs: ['distributor-seated'],
      slots: [slots['room-cw'], slots['room-ccw']]
    },
    u
  );

export const hoseOn = (u: Use): Step =>
  step(
    {
      title: 'Vacuum hose back on',
      say: 'Take the plug out of the hose and push the hose back on its capsule.',
      why: 'Left off, it runs without vacuum advance, and through the open hose it draws false air.',
      accept: 'Hose on, no plug left in it.',
      ifSkipped: 'A weak, hot engine nobody can explain.',
      minutes: 1,
      hazards: ['rotating', 'hot-surface'],
      clears: ['vacuum-plugged'],
      onlyIf: vacuumFitted
    },
    u
  );

export const strobeOn = (u: Use): Step =>
  step(
    {
      title: 'Strobe connected',
      say: 'Supply leads clear of the fan, pickup on number one\u2019s lead, away from its neighbours.',
      why: 'Leads and fan share the space; crossfire flashes for the wrong cylinder.',
      accept: 'Steady flash.',
      ifSkipped: 'The wrong cylinder is read.',
      minutes: 3,
      hazards: ['rotating', 'hv-ignition'],
      sets: ['strobe-connected']
    },
    u
  );

export const hoseOff = (u: Use): Step =>
  step(
    {
      title: 'Vacuum hose off and plugged',
      say: 'Take the hose off the vacuum capsule and plug it.',
      why: 'Vacuum adds advance and hides the initial setting.',
      ifSkipped: 'The initial setting is read with vacuum in it.',
      minutes: 1,
      sets: ['vacuum-plugged'],
      onlyIf: vacuumFitted
    },
    u
  );

export const nothingLeft = (u: Use): Step =>
  step(
    {
      title: 'Nothing left on or in',
      say: 'Walk the list and count: bar, wheel, probe, pin, rags, tools near the fan; guards on; oil and coolant.',
      why: 'Most start-up damage is something left in or on.',
      accept: 'Every temporary thing accounted for.',
      ifSkipped: 'A thrown bar, a sheared pin, a cracked piston.',
      helper: 'advised',
      hazards: ['barring-tool', 'rotating'],
      sets: ['sweep-done'],
      mustBeOff: [
        'barring-tool-fitted',
        'degree-wheel-on',
        'plugs-out',
        'probe-in',
        'piston-stop-in',
        'engine-pin-in',
        'rotor-pin-in',
        'part-missing'
      ],
      needs: ['clamp-snug', 'leads-fitted'],
      slots: allBack,
      surface: 'walk'
    },
    u
  );

export const firstStart = (u: Use): Step =>
  step(
    {
      title: 'First start',
      say: 'Battery and fuel back, short bursts; watch oil pressure, listen for kick and backfire.',
      why: 'A short first run is a measurement.',
      accept: 'Runs without kick or backfire, oil pressure up.',
      ifSkipped: 'Symptoms go unseen, and cranking goes on doing harm.',
      tools: ['extinguisher', 'remote switch'],
      minutes: 10,
      helper: 'yes',
      hazards: ['first-start', 'exhaust', 'noise', 'kickback', 'backfire', 'oil-starve', 'rotating'],
      sets: ['engine-running', 'ignition-live', 'oil-pressure-up'],
      acts: ['turns-uncounted', 'cranks-by-power', 'starts'],
      clears: ['battery-isolated', 'fuel-disabled'],
      needs: ['sweep-done', 'clamp-snug'],
      slots: [slots.idle, slots['running-oil']]
    },
    u
  );

export const strobeInitial = (u: Use): Step =>
  step(
    {
      title: 'Initial timing by strobe',
      say: 'At warm idle, hose plugged, read the mark square on; turn the housing, read again.',
      why: 'The whole curve stands on this figure.',
      accept: 'Inside the data sheet\u2019s limits with its uncertainty.',
      ifSkipped: 'The curve lies on a false base.',
      tools: ['strobe', 'tachometer'],
      minutes: 6,
      hazards: ['rotating', 'exhaust', 'hot-surface', 'hot-coolant', 'hv-ignition'],
      sets: ['base-timing-set'],
      clears: ['bias-on'],
      needs: ['engine-running', 'strobe-connected', 'clamp-snug'],
      slots: [slots.strobe],
      role: 'strobe',
      adjusts: ['housing'],
      surface: 'timing',
      acts: ['reads-initial', 'runs-on'],
      values: ['staticBtdc', 'rotorDirection', 'ratio']
    },
    u
  );

export const idleSet = (u: Use): Step =>
  step(
    {
      title: 'Idle set, timing read again',
      say: 'Set the idle speed, look at the mark again, and go on between them until neither changes.',
      why: 'Idle and timing pull on each other, and above the onset the weights are read as well.',
      handles: { 'engine.throttle': 'idle speed set', 'engine.crank': 'its mark under the strobe' },
      accept: 'Idle as the data sheet has it, below the onset, and the mark where it was.',
      ifSkipped: 'The initial timing is right at a speed that nobody runs.',
      tools: ['tachometer', 'strobe'],
      minutes: 5,
      hazards: ['rotating', 'exhaust', 'hot-surface'],
      needs: ['engine-running', 'base-timing-set'],
      acts: ['runs-on', 'sets-idle'],
      slots: [slots.idle]
    },
    u
  );

export const totalSet = (u: Use): Step =>
  step(
    {
      title: 'Set by total, where the total is the aim',
      say: 'At a speed above all-in read the total, hose plugged; turn the housing until it is as planned, then read what initial timing that leaves.',
      why: 'Where the total decides, what is left at idle follows from it, and not the other way round.',
      accept: 'Total within its limit with its \u00b1, and an initial timing that still starts.',
      ifSkipped: 'Knock under load that nobody hears, or a kick at the start.',
      tools: ['strobe', 'tachometer', 'tape'],
      minutes: 6,
      helper: 'yes',
      hazards: ['rotating', 'exhaust', 'noise', 'detonation'],
      needs: ['engine-running', 'strobe-connected'],
      acts: ['runs-on'],
      slots: [slots['total-read']],
      adjusts: ['housing'],
      surface: 'judged',
      onlyIf: {
        fact: 'setByTotal',
        question: 'Is this engine set by its total?',
        yes: 'By its total',
        no: 'By its initial timing'
      }
    },
    u
  );

export const clampFinal = (u: Use): Step =>
  step(
    {
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
      slots: [slots.torque, slots['after-clamp']],
      adjusts: ['clamp'],
      surface: 'clamp',
      acts: ['clamps-final']
    },
    u
  );
