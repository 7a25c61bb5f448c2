import type { GaugeRef } from '$core/job/index.ts';
import type { Step } from '$core/job/run-sheet.ts';
import { TACHO } from './curve-jobs.ts';
import { FLYWHEEL, MAGNETO } from './magneto-jobs.ts';
import { PUMP } from './pump-jobs.ts';
import { type PlayedJob, SHEET } from './played.ts';

/** A careful hand at every step of every run sheet: what it reads, answers and takes, and that it does what the step says. */
export const FULL: Record<string, string> = {
  ...SHEET,
  damperDiameterMm: '164',
  driveKind: 'own-gear',
  floatMinMm: '0.1',
  floatMaxMm: '0.6',
  pumpDrive: 'blade',
  pumpSlotDepthMm: '9',
  minEngagementMm: '5.5',
  minClearanceMm: '0.5',
  gasketMm: '0.8',
  gearTeeth: '11',
  gearHand: 'right',
  gearModuleMm: '2.5',
  gearBoreMm: '14',
  gearOutsideMm: '36',
  gearPitchMm: '31',
  gearFaceMm: '22',
  helixDeg: '41',
  camMaterial: 'cast-iron',
  installedMinMm: '98.4',
  installedMaxMm: '98.8',
  shaftHeightMinMm: '31.8',
  shaftHeightMaxMm: '32.2',
  driveSlotBearingDeg: '80',
  terminalOffsetDeg: '156',
  idleRpm: '650',
  advanceBand: '650 7-11; 1800 19-24; 2600 28-34; 4200 28-34',
  totalMaxBtdc: '34',
  startMinBtdc: '6',
  startMaxBtdc: '11',
  springARate: '1.9',
  springAPreload: '2.6',
  springBRate: '3.4',
  springBPreload: '0.4',
  extensionMmPerDeg: '0.11',
  lobeToleranceDeg: '0.5',
  ...PUMP,
  ...MAGNETO,
  ...FLYWHEEL,
  shankWithinMm: '0.2',
  seatWithinMm: '0.3',
  tangWithinMm: '0.5',
  heightWithinMm: '5',
  bushPlayMaxMm: '0.2',
  topFloatMaxMm: '0.5'
};

/** Readings that a careful hand would take at a step, by slot. */
const READ: Record<string, string[]> = {
  washer: ['1.473', '1.486'],
  gap: ['0.70 + 0.60', '0.70 + 0.61'],
  packing: ['0.10'],
  length: ['171.4'],
  'drive-depth': ['157.2'],
  offset: ['6.1'],
  'float-dial': ['0.30'],
  'rotor-mark': ['170'],
  'housing-mark': ['14'],
  'rotor-now': ['170'],
  'housing-now': ['14'],
  'rotor-seen': ['137'],
  'arc-min': ['334'],
  'arc-max': ['52'],
  twist: ['25'],
  'new-teeth': ['11'],
  'new-module': ['2.5'],
  'new-bore': ['14'],
  'new-outside': ['36'],
  'old-shank': ['27.00'],
  'new-shank': ['27.02'],
  'old-seat': ['98.6'],
  'new-seat': ['98.6'],
  'old-tang': ['121.4'],
  'new-tang': ['121.5'],
  'old-height': ['88'],
  'new-height': ['90'],
  'total-read': ['31b'],
  dimension: ['98.6'],
  'float-loose': ['0.30'],
  'float-tight': ['0.30'],
  'rings-drawn': ['2'],
  'ring-count': ['2'],
  ring: ['1.50', '2.00'],
  'shaft-bare': ['32.0'],
  'shaft-height': ['32.0'],
  'drive-slot': ['80'],
  wire: ['1', '3', '4', '2'],
  'contact-gap': ['0.40'],
  fires: ['9b'],
  'base-before': ['9b'],
  strobe: ['9b'],
  'turned-on': ['324'],
  lobe: ['20', '110', '200', '290'],
  'spare-low': ['0.5'],
  'spare-high': ['2'],
  falling: ['3.31', '1.58', '0.31', '0.02', '0.02', '0.02'],
  'zero-again': ['0', '0'],
  lift: ['2.51'],
  'lift-held': ['2.51'],
  'torque-first': ['20'],
  'torque-final': ['85'],
  'lift-tight': ['2.51'],
  'lock-setting': ['13.2b'],
  'offset-decided': ['5.8b'],
  'closure-lift': ['2.90', '2.90'],
  element: ['0', '90', '180', '270'],
  'head-gap': ['0.50'],
  'screw-clear': ['1', '2', '3'],
  'line-solid': ['1', '2', '3', '4'],
  'idle-diesel': ['650'],
  leaks: ['0'],
  'drive-stands': ['90'],
  // read on the mark, which stands some two degrees early
  snap: ['4a', '4a'],
  'flange-torque': ['16'],
  'snap-after': ['4a', '4a'],
  'run-rpm': ['900'],
  'run-spark': ['26b'],
  'stop-again': ['22b'],
  'idle-timing': ['4b'],
  'idle-two': ['650'],
  'float-bench': ['0.30'],
  'top-float': ['0.10'],
  'bush-play': ['0.04'],
  'teeth-counted': ['11'],
  'hold-start': ['60'],
  'hold-end': ['59'],
  'hold-seconds': ['60']
};
/** figures that are read one after the other, by the first of the two */
const PAIRS: Record<string, [first: string, second: string, rows: [string, string][]]> = {
  'mark-of': [
    'mark-of',
    'mark-at',
    [
      ['1', '336'],
      ['2', '66'],
      ['4', '156'],
      ['3', '246']
    ]
  ],
  'strobe-on': [
    'strobe-on',
    'number-seen',
    [
      ['1', '1'],
      ['2', '2'],
      ['3', '3'],
      ['4', '4']
    ]
  ],
  'vac-kpa': [
    'vac-kpa',
    'vac-deg',
    [
      ['0', '9b'],
      ['40', '22b']
    ]
  ],
  'stop-turns': [
    'stop-turns',
    'stop-spark',
    [
      ['0', '19.5b'],
      ['2', '22b']
    ]
  ]
};
/** the same at one step alone: a shaft a tooth out, which no tower cures */
const READ_AT: Record<string, Record<string, string[]>> = {
  fault: { 'rotor-seen': ['120'] },
  // true TDC reads 358 on the wheel: 19 before it, 5.8 before it, and there
  lift: { stands: ['358'] },
  verify: { stands: ['358'] },
  prove: { stands: ['339'] },
  'prove-lock': { stands: ['352'] },
  'prove-pin': { stands: ['358'] }
};
const CHOOSE: Record<string, string> = {
  'sweep-scale': 'engine',
  'new-hand': 'right',
  'new-material': 'cast-iron',
  'chart-kind': 'lift-at-tdc',
  'plate-read': 'two',
  'ledger-read': 'two',
  'stop-two': 'plate',
  'smoke-warm': 'clear',
  'smoke-load': 'clear'
};
/** what the workshop of these tests has no gauge for otherwise */
const BY_GAUGE: Record<string, GaugeRef> = { 'idle-diesel': TACHO, 'idle-two': TACHO };
// along the middle of the limits
const curve = [
  [650, 9],
  [1000, 12.8],
  [1300, 16.1],
  [1600, 19.3],
  [1800, 21.5],
  [2100, 25],
  [2400, 28.6],
  [2600, 31],
  [3400, 31],
  [4200, 31]
];

export function doStep(job: PlayedJob, step: Step, yes: boolean): void {
  if (step.onlyIf && !job.state.replayed.facts.has(step.onlyIf.fact))
    job.say({ kind: 'fact', fact: step.onlyIf.fact, value: yes });
  if (job.view(step.id).state === 'not-needed') return;
  answerAt(job, step);
  readAt(job, step);
  // whatever is still on and may be said to be off is seen to be off; what is hard must come off by a step of the sheet
  job.done(step.id);
}

/** What a step asks in words and nobody answered. */
export function answerAt(job: PlayedJob, step: Step): void {
  if (step.schools.includes('shaft-in-place'))
    job.say({ kind: 'choose', school: 'shaft-in-place', option: 'in-place' });
  for (const c of step.choices.filter((x) => !x.proves))
    job.say({ kind: 'choose', school: c.id, option: CHOOSE[c.id] ?? c.options[0]!.id });
}

export function readAt(job: PlayedJob, step: Step): void {
  if (step.surface === 'tdc') {
    job.pairsAt(step.id, '1.8', ['343.5', '12.5'], ['343.5', '12.5'], ['343.5', '12.5']);
    return;
  }
  if (step.surface === 'strokes') {
    job.say({ kind: 'sign', sign: 'airPushedOut', seen: true });
    job.say({ kind: 'sign', sign: 'intakeJustClosed', seen: true });
    return;
  }
  if (step.surface === 'patch') {
    job.read(step.id, 'patch-low', '7');
    job.read(step.id, 'patch-high', '15');
    return;
  }
  if (step.slots.some((s) => s.slot === 'sweep-rpm')) {
    for (const [rpm, deg] of curve) {
      job.read(step.id, 'sweep-rpm', String(rpm));
      job.read(step.id, 'sweep-deg', `${deg!.toFixed(1)}b`);
    }
    return;
  }
  for (const [first, second, rows] of step.slots.flatMap((s) => (PAIRS[s.slot] ? [PAIRS[s.slot]!] : [])))
    for (const [a, b] of rows) {
      job.read(step.id, first, a);
      job.read(step.id, second, b);
    }
  if (step.takes.includes('packing')) job.take(step.id, 'packing', ['PK-12', 0.117, 0.004]);
  if (step.takes.includes('spring')) {
    const spring = {
      id: 's',
      name: 'S',
      kind: 'spring' as const,
      thicknessMm: null,
      uMm: null,
      uRate: 0.01,
      uPreload: null,
      deg: null
    };
    job.say({
      kind: 'take',
      step: step.id,
      part: 'spring',
      parts: [
        { ...spring, rateNPerMm: 1.9, preloadN: 2.6 },
        { ...spring, rateNPerMm: 3.4, preloadN: 0.4 }
      ]
    });
  }
  for (const s of step.slots)
    for (const text of READ_AT[step.id]?.[s.slot] ?? READ[s.slot] ?? [])
      job.say(job.reading(step.id, s.slot, text, BY_GAUGE[s.slot]));
}
