import type { Use } from './shared-steps.ts';
import { step, type Slot, type Step } from '../job/run-sheet.ts';

/** Steps of setting the timing at rest, proving it running, and of the advance curve. */

const sweepSlots = (deg: string, gauge: Slot['gauge']): Slot[] => [
  { slot: 'sweep-rpm', label: 'speed', quantity: 'speed', gauge: 'tacho', repeats: true },
  { slot: 'sweep-deg', label: deg, quantity: 'timing', gauge, repeats: true }
];

export const setGap = (u: Use): Step =>
  step({
    title: 'Gap and dwell set',
    say: 'Set the gap on the peak of the lobe, read the dwell; after a change read the dwell again.',
    why: 'The gap moves the timing, the timing does not move the gap.',
    accept: 'Both inside their limits.',
    ifSkipped: 'The timing moves when the gap is put right later.',
    tools: ['blades', 'dwell meter'],
    minutes: 6,
    sets: ['gap-set'],
    needs: ['battery-isolated'],
    slots: [
      { slot: 'contact-gap', label: 'gap, on the peak of the lobe', quantity: 'length', gauge: 'blade' },
      { slot: 'dwell', label: 'dwell, distributor degrees', quantity: 'angle', gauge: 'wheel', repeats: true }
    ],
    surface: 'gap',
    ...u
  });

export const identifyTrigger = (u: Use): Step =>
  step({
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
    ],
    ...u
  });

export const biasChosen = (u: Use): Step =>
  step({
    title: 'Bias for the first start, if any',
    say: 'Keep the exact setting, or turn the housing a little on purpose and log it as a bias.',
    why: 'A method that reads late, or a fresh camshaft, may want it; unlogged it is a mistake waiting.',
    accept: 'Logged as a bias, cleared at the strobe.',
    ifSkipped: 'A kick or a backfire, or an offset that nobody knows of.',
    minutes: 2,
    slots: [{ slot: 'bias', label: 'bias, degrees of the crank', quantity: 'angle', gauge: 'eye' }],
    school: 'bias',
    surface: 'bias',
    needs: ['housing-indexed'],
    ...u
  });

export const sweepRun = (u: Use): Step =>
  step({
    title: 'Curve swept, up and down',
    say: 'Raise the speed in steps and hold each, read, then come down again; stay clear of the plane of the fan.',
    why: 'It shows where the advance begins, how fast it comes, what it ends at, and whether the weights stick.',
    accept: 'Inside its limits at every speed, down equal to up.',
    ifSkipped: 'A wrong stop or a sticking weight goes unseen.',
    tools: ['strobe', 'tachometer'],
    minutes: 12,
    helper: 'yes',
    hazards: ['rotating', 'hot-surface'],
    sets: ['curve-verified'],
    needs: ['engine-running', 'strobe-connected', 'vacuum-plugged'],
    slots: sweepSlots('timing, strobe on the mark', 'strobe'),
    values: ['advanceBand'],
    school: 'mark-scale',
    surface: 'sweep',
    ...u
  });

export const steadiness = (u: Use): Step =>
  step({
    title: 'Scatter at steady speeds',
    say: 'Hold a speed, watch how far the mark wanders, type the speed and the width of the band.',
    why: 'An average looks right while single sparks do not; float and backlash explain some of it, a bush the rest.',
    accept: 'Below its limit, or explained by the drive\u2019s float.',
    ifSkipped: 'A worn bush is tuned around.',
    tools: ['strobe'],
    minutes: 4,
    hazards: ['rotating'],
    needs: ['engine-running', 'strobe-connected'],
    slots: [
      { slot: 'spread-rpm', label: 'speed', quantity: 'speed', gauge: 'tacho', repeats: true },
      {
        slot: 'spread',
        label: 'width of the band the mark wanders in',
        quantity: 'angle',
        gauge: 'strobe',
        repeats: true
      }
    ],
    surface: 'sweep',
    ...u
  });

export const vacuumChecked = (u: Use): Step =>
  step({
    title: 'Vacuum advance and its diaphragm',
    say: 'Hold the speed, raise the depression in steps with the hand pump, read the timing; then let it stand and see if it holds.',
    why: 'It proves unit, source and direction; a leaking diaphragm is a weak mixture as well.',
    accept: 'Adds as the data sheet has it, in the advance sense, and holds.',
    ifSkipped: 'A plate stuck, or moving the wrong way.',
    tools: ['hand vacuum pump', 'strobe'],
    minutes: 8,
    helper: 'yes',
    hazards: ['rotating'],
    sets: ['vacuum-set'],
    clears: ['vacuum-plugged'],
    slots: [
      { slot: 'vac-kpa', label: 'depression', quantity: 'pressure', gauge: 'pressure', repeats: true },
      { slot: 'vac-deg', label: 'timing, strobe on the mark', quantity: 'timing', gauge: 'strobe', repeats: true },
      { slot: 'hold-start', label: 'depression, pump stopped', quantity: 'pressure', gauge: 'pressure' },
      { slot: 'hold-end', label: 'depression, after waiting', quantity: 'pressure', gauge: 'pressure' },
      { slot: 'hold-seconds', label: 'seconds waited', quantity: 'count', gauge: 'eye' }
    ],
    onlyIf: { fact: 'vacuumUnit', question: 'Is a vacuum unit fitted?', yes: 'Fitted', no: 'None' },
    surface: 'vacuum',
    ...u
  });

export const weightsFree = (u: Use): Step =>
  step({
    title: 'Weights move and return',
    say: 'Hold the drive, turn the rotor in its advance direction and let go; see both weights, both springs, full travel.',
    why: 'A seized mechanism hides as a lazy engine, and a curve on sticking weights is fiction.',
    accept: 'Free, snaps back, reaches its stop.',
    ifSkipped: 'Springs are chosen against friction.',
    tools: ['light oil'],
    minutes: 5,
    sets: ['advance-free'],
    slots: [{ slot: 'travel-free', label: 'travel by hand, distributor degrees', quantity: 'angle', gauge: 'wheel' }],
    ...u
  });

export const lobesRead = (u: Use): Step =>
  step({
    title: 'Spacing of the sparks read',
    say: 'Turn the distributor slowly in its running direction and read where each cylinder fires, in firing order.',
    why: 'Run-out of the shaft and error of a lobe look alike in one reading and apart in all of them.',
    accept: 'Every spark in its place within the tolerance.',
    ifSkipped: 'Cylinders fire early and late and no setting cures it.',
    tools: ['distributor bench', 'wheel'],
    minutes: 8,
    slots: [{ slot: 'lobe', label: 'fires at, distributor degrees', quantity: 'angle', gauge: 'wheel', repeats: true }],
    values: ['firingOrder', 'lobeToleranceDeg'],
    surface: 'lobes',
    ...u
  });

export const benchSweep = (u: Use): Step =>
  sweepRun({
    title: 'Curve swept on the bench',
    say: 'Run the distributor up in steps and down again; read speed and advance in its own degrees.',
    tools: ['distributor bench'],
    helper: 'no',
    hazards: ['rotating'],
    needs: [],
    slots: sweepSlots('advance, distributor degrees', 'wheel').map((s) =>
      s.slot === 'sweep-rpm' ? { ...s, label: 'speed of the distributor' } : s
    ),
    ...u
  });

export const targetsSet = (u: Use): Step =>
  step({
    title: 'Target set',
    say: 'Say what the engine pulls, burns and is for; then take the middle of the limits as target, or drag it where you want it.',
    why: 'Figures before parts; the limits are the data sheet\u2019s, a rule of thumb is only that.',
    accept: 'Initial and advance together below the total limit.',
    ifSkipped: 'The wrong stop with the right springs.',
    minutes: 10,
    sets: ['curve-targets'],
    needs: ['data-confirmed'],
    choices: [
      {
        id: 'load',
        question: 'What it pulls',
        options: [
          { id: 'light', label: 'light loads' },
          { id: 'mixed', label: 'loads that change' },
          { id: 'heavy', label: 'heavy loads' }
        ]
      },
      {
        id: 'fuel',
        question: 'Fuel',
        options: [
          { id: 'good', label: 'good' },
          { id: 'poor', label: 'poor or unknown' }
        ]
      },
      {
        id: 'use',
        question: 'Runs mostly at',
        options: [
          { id: 'steady', label: 'one steady speed' },
          { id: 'changing', label: 'changing speeds' }
        ]
      }
    ],
    values: ['advanceBand', 'totalMaxBtdc', 'idleRpm'],
    school: 'curve',
    surface: 'targets',
    ...u
  });

export const searchTray = (u: Use): Step =>
  step({
    title: 'Springs and stop chosen',
    say: 'Look at what each pair and stop of the tray would do, and take the one that fits.',
    why: 'The measured curve tells what other springs do: no swapping by rumour.',
    accept: 'Within the limits, nothing creeping at idle, nothing snapping out.',
    ifSkipped: 'Timing that hunts at idle, or comes too late.',
    minutes: 8,
    needs: ['curve-targets', 'baseline-known'],
    values: ['springARate', 'springAPreload', 'springBRate', 'springBPreload', 'extensionMmPerDeg'],
    takes: ['spring', 'stop'],
    surface: 'recurve',
    ...u
  });
