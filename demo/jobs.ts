import type { DemoJob, Line } from './write-job.ts';

const done = (...steps: string[]): Line[] => steps.map((s) => ({ done: s }));
const pairsAt =
  (step: string) =>
  (depth: string, ...rows: [string, string][]): Line[] => [
    { read: depth, step, slot: 'depth' },
    ...rows.flatMap(([b, a]): Line[] => [
      { read: b, step, slot: 'before' },
      { read: a, step, slot: 'after' }
    ])
  ];
const pairs = pairsAt('tdc');

/** A mark that no job has proved, proved on the job that is to be timed by it. */
const markProved = (...rows: [string, string][]): Line[] => [
  { choose: 'ring-seen', option: 'kept' },
  ...done('ring', 'mark-safe', 'mark-plugs', 'mark-bar'),
  { choose: 'mark-quick', option: 'near' },
  ...done('mark-look', 'mark-wheel'),
  ...pairsAt('mark-tdc')('71 thou', ...rows),
  ...done('mark-tdc', 'mark', 'mark-probe-out', 'mark-off')
];

/** Small parts counted out, and counted back with the tools. */
const laidOut = (read: string): Line => ({ read, step: 'cover', slot: 'small-parts-out' });
const backOf = (step: string, read: string): Line[] => [
  { read, step, slot: 'small-parts-back' },
  { read: '11', step, slot: 'given-out' },
  { read: '11', step, slot: 'counted-back' }
];

/** A whole fit, from the first step to the closed log, with the readings that differ from job to job. */
function wholeFit(o: {
  depth: string;
  pairs: [string, string][];
  tower: string;
  rotor: string;
  strobe: string[];
  /** the last of them read again, the housing left as it stood */
  strobeAgain?: string[];
  vacuum: boolean;
  torque: string;
}): Line[] {
  return [
    ...done('intake', 'safe', 'bench', 'plugs', 'bar', 'wheel'),
    ...pairs(o.depth, ...o.pairs),
    ...done('tdc', 'mark', 'probe-out'),
    { sign: 'airPushedOut', seen: true },
    { sign: 'bothValvesClosed', seen: true },
    ...done('stroke', 'ref'),
    { read: o.tower, step: 'tower', slot: 'tower' },
    ...done('tower', 'clamp-ready', 'seal', 'pump-shaft', 'prime-bore', 'slot'),
    { read: o.rotor, step: 'in', slot: 'rotor' },
    ...done('in'),
    { fact: 'stoppedHigh', is: false },
    ...done('seat'),
    { read: o.rotor, step: 'tooth', slot: 'rotor' },
    ...done('tooth', 'index', 'power-off', 'tip', 'room', 'bias', 'snug'),
    { fact: 'pinned', is: false },
    { fact: 'camFresh', is: false },
    ...done('cap', 'leads', 'two-turns'),
    ...(o.vacuum ? done('hose') : []),
    ...done('strobe-on', 'off', 'sweep', 'start'),
    ...o.strobe.map((s): Line => ({ read: s, step: 'strobe', slot: 'strobe' })),
    ...(o.strobeAgain ?? []).map((s): Line => ({ read: s, step: 'strobe', slot: 'strobe-again' })),
    ...done('strobe'),
    { read: o.torque, step: 'clamp-final', slot: 'torque' },
    ...done('clamp-final'),
    ...(o.vacuum ? done('hose-on') : []),
    ...done('close')
  ];
}

/** A job on the mark, as far as the degree wheel. */
const upToTdc: Line[] = done('intake', 'safe', 'plugs', 'bar', 'look', 'quick', 'wheel');

const stopPairs = (...rows: [string, string][]): Line[] =>
  rows.flatMap(([b, a]): Line[] => [
    { read: b, step: 'tdc', slot: 'before' },
    { read: a, step: 'tdc', slot: 'after' }
  ]);

const fitted = (...rows: [string, string][]): Line[] =>
  rows.flatMap(([w, d]): Line[] => [
    { read: w, step: 'tdc', slot: 'fit-wheel' },
    { read: d, step: 'tdc', slot: 'fit-dial' }
  ]);

/** A whole job on the mark. */
const verified = (method: string, readings: Line[]): Line[] => [
  ...upToTdc,
  { choose: 'tdc', option: method },
  ...readings,
  ...done('tdc', 'probe-out', 'mark', 'scale', 'pointer', 'off', 'close')
];

/** The pedestal drive measured: washer, gaps all round, no packing yet. */
const floatMeasured = (washer: string[], gaps: string[]): Line[] => [
  ...done('intake', 'safe', 'bar'),
  laidOut('9'),
  ...done('cover', 'inspect', 'washer-prep'),
  ...washer.map((read): Line => ({ read, step: 'washer', slot: 'washer' })),
  ...done('washer', 'washer-in'),
  ...gaps.map((read): Line => ({ read, step: 'gap', slot: 'gap' })),
  ...done('gap')
];

/** A whole job on the pedestal drive, three years ago: tighter than now, and with more packing in the tray. */
const pedestalWhole: Line[] = [
  ...floatMeasured(['1.475', '1.480', '1.475'], ['0.80 + 0.60', '0.80 + 0.60']),
  { take: ['PK-08'], part: 'packing', step: 'packing' },
  ...done('packing', 'pack-measure', 'washer-out'),
  { read: '171.3', step: 'depth', slot: 'length' },
  { read: '157.2', step: 'depth', slot: 'drive-depth' },
  { read: '6.1', step: 'depth', slot: 'offset' },
  ...done('depth', 'plugs', 'wheel'),
  ...pairs('1.80', ['344.5', '14.5'], ['344.5', '14.5'], ['345.0', '14.0']),
  ...done('tdc', 'probe-out', 'mark'),
  { sign: 'bothValvesClosed', seen: true },
  { sign: 'airPushedOut', seen: true },
  ...done('stroke', 'ref'),
  { read: '170', step: 'tooth-plan', slot: 'rotor-seen' },
  { read: '334', step: 'tooth-plan', slot: 'arc-min' },
  { read: '52', step: 'tooth-plan', slot: 'arc-max' },
  ...done('tooth-plan'),
  { read: '25', step: 'lead', slot: 'twist' },
  ...done('lead', 'in'),
  { fact: 'stoppedHigh', is: false },
  { read: '170', step: 'recheck', slot: 'rotor' },
  ...done('recheck', 'seal'),
  { read: '0.16', step: 'prove', slot: 'float-dial' },
  { read: '0.17', step: 'prove', slot: 'float-dial' },
  ...done('prove', 'aux'),
  ...backOf('off', '9'),
  ...done('off', 'close')
];

/** The winch's gear replaced: contact too low at first, central after the collar was turned down. */
const winchRegear: Line[] = [
  ...done('intake', 'safe'),
  laidOut('6'),
  ...done('cover'),
  { choose: 'under-tip', option: 'tooth' },
  ...done('index'),
  { choose: 'wear-place', option: 'low' },
  { choose: 'wear-surface', option: 'polished' },
  { choose: 'wear-partner', option: 'sound' },
  ...done('wear'),
  { read: '16', step: 'compare', slot: 'new-teeth' },
  { read: '2.5', step: 'compare', slot: 'new-module' },
  { read: '12.70', step: 'compare', slot: 'new-bore' },
  { read: '52.1', step: 'compare', slot: 'new-outside' },
  { choose: 'new-hand', option: 'left' },
  { choose: 'new-material', option: 'cast-iron' },
  ...done('compare', 'pin-out'),
  { choose: 'gear-slides', option: 'slides' },
  { choose: 'holes-meet', option: 'meet' },
  ...done('trial'),
  { read: '101.62', step: 'dimension', slot: 'dimension' },
  ...done('dimension'),
  { read: '0.71', step: 'fix', slot: 'float' },
  { take: ['SH-25'], part: 'shim', step: 'fix' },
  ...done('fix', 'turned', 'pin-in'),
  { read: '0.45', step: 'float', slot: 'float-dial' },
  { read: '0.46', step: 'float', slot: 'float-dial' },
  ...done('float'),
  { choose: 'dry-gap', option: 'none' },
  { choose: 'clamp-bears', option: 'round' },
  ...done('dry-seat', 'clamp-fit'),
  { read: '0.46', step: 'bottom', slot: 'float-loose' },
  { read: '0.45', step: 'bottom', slot: 'float-tight' },
  ...done('bottom', 'bar'),
  { read: '3.1', step: 'contact', slot: 'patch-low' },
  { read: '14.2', step: 'contact', slot: 'patch-high' },
  ...done('contact', 'adjust'),
  { read: '7.6', step: 'contact-after', slot: 'patch-low' },
  { read: '18.8', step: 'contact-after', slot: 'patch-high' },
  ...done('contact-after'),
  { read: '0.47', step: 'bottom-gasket', slot: 'float-loose' },
  { read: '0.46', step: 'bottom-gasket', slot: 'float-tight' },
  ...done('bottom-gasket'),
  { read: '186.4', step: 'depth', slot: 'length' },
  { read: '171.9', step: 'depth', slot: 'drive-depth' },
  { read: '3.2', step: 'depth', slot: 'offset' },
  ...done('depth', 'note'),
  ...backOf('off', '6'),
  ...done('off', 'close')
];

/** A different distributor for the winch, as far as the tooth: a cable tray stands where the housing used to turn. */
const winchSwap: Line[] = [
  ...done('intake'),
  { read: '16', step: 'compare', slot: 'new-teeth' },
  { choose: 'new-hand', option: 'left' },
  { choose: 'new-material', option: 'cast-iron' },
  ...done('compare'),
  ...[
    ['shank', '31.98', '31.97'],
    ['seat', '101.5', '101.6'],
    ['tang', '128.3', '128.4'],
    ['height', '92', '94']
  ].flatMap(([what, old, fresh]): Line[] => [
    { read: old!, step: 'bodies', slot: `old-${what!}` },
    { read: fresh!, step: 'bodies', slot: `new-${what!}` }
  ]),
  { choose: 'seat-same', option: 'same' },
  { choose: 'tang-same', option: 'same' },
  { choose: 'reach-same', option: 'same' },
  ...done('bodies'),
  { fact: 'curveAdjustable', is: false },
  { read: '0.41', step: 'float', slot: 'float-dial' },
  ...done('float', 'safe'),
  ...['1', '5', '3', '6', '2', '4'].map((cylinder): Line => ({ read: cylinder, step: 'map', slot: 'lead-map' })),
  ...done('map', 'plugs', 'bar', 'wheel'),
  ...pairs('71 thou', ['345.5', '15.5'], ['345.5', '15.5'], ['345.0', '16.0']),
  ...done('tdc', 'probe-out', 'mark'),
  { sign: 'airPushedOut', seen: true },
  { sign: 'companionRocking', seen: true },
  ...done('stroke', 'ref'),
  { read: '68', step: 'marks', slot: 'rotor-mark' },
  { read: '28', step: 'marks', slot: 'housing-mark' },
  ...done('marks'),
  { read: '31', step: 'out', slot: 'twist' },
  ...done('out', 'pump-shaft'),
  laidOut('4'),
  ...done('cover', 'hold'),
  { read: '186.2', step: 'depth', slot: 'length' },
  { read: '171.9', step: 'depth', slot: 'drive-depth' },
  { read: '3.0', step: 'depth', slot: 'offset' },
  ...done('depth'),
  { read: '255', step: 'tooth-plan', slot: 'arc-min' },
  { read: '352', step: 'tooth-plan', slot: 'arc-max' }
];

const swept = (step: string, ...points: [rpm: number, deg: number][]): Line[] =>
  points.flatMap(([rpm, deg]): Line[] => [
    { read: String(rpm), step, slot: 'sweep-rpm' },
    { read: `${deg}b`, step, slot: 'sweep-deg' }
  ]);

/** The winch's curve over the years: in its limits, then a little later each time, the weights sticking more. */
const curve2022: [number, number][] = [
  [650, 8.5],
  [900, 8.5],
  [1200, 11.4],
  [1500, 15.7],
  [1800, 20.3],
  [2100, 24.6],
  [2400, 28.8],
  [2700, 31.3],
  [3400, 31.4],
  [4200, 31.4],
  [3400, 31.4],
  [2700, 31.4],
  [2400, 29.4],
  [2100, 25.4],
  [1800, 21.2],
  [1500, 16.5],
  [1200, 12.0]
];
const curve2024: [number, number][] = [
  [650, 8.6],
  [900, 8.6],
  [1200, 10.2],
  [1500, 13.6],
  [1800, 17.6],
  [2100, 21.4],
  [2400, 25.3],
  [2700, 28.9],
  [3000, 30.8],
  [3400, 30.8],
  [4200, 30.8],
  [3400, 30.8],
  [3000, 30.8],
  [2700, 30.3],
  [2400, 27.1],
  [2100, 23.2],
  [1800, 19.6],
  [1500, 15.1],
  [1200, 11.0]
];
const lazyUp: [number, number][] = [
  [650, 9.0],
  [900, 9.0],
  [1200, 9.3],
  [1500, 11.6],
  [1800, 14.9],
  [2100, 18.2],
  [2400, 21.5],
  [2700, 24.9],
  [3000, 28.1],
  [3400, 31.0],
  [3800, 31.0],
  [4200, 31.0]
];
const lazyDown: [number, number][] = [
  [3800, 31.0],
  [3400, 31.0],
  [3000, 30.4],
  [2700, 27.8],
  [2400, 24.6],
  [2100, 21.4],
  [1800, 17.9],
  [1500, 14.2],
  [1200, 11.0]
];

const WINCH_MARK: [string, string][] = [
  ['345.0', '15.0'],
  ['345.0', '15.5'],
  ['345.0', '15.0']
];

/** The capsule at 50 kPa, watched for a minute. */
const capsuleHolds = (lost: '1 kPa' | '2 kPa'): Line[] => [
  { read: '50 kPa', step: 'vacuum', slot: 'hold-start' },
  { read: lost === '1 kPa' ? '49 kPa' : '48 kPa', step: 'vacuum', slot: 'hold-end' },
  { read: '60', step: 'vacuum', slot: 'hold-seconds' }
];

const strobed = (mark: [string, string][], initial: string, again: string, curve: [number, number][]): Line[] => [
  ...done('intake', 'marks', 'secure'),
  ...markProved(...mark),
  ...done('strobe-on', 'hose', 'sweep-list', 'start'),
  { read: initial, step: 'strobe', slot: 'strobe' },
  { read: again, step: 'strobe', slot: 'strobe-again' },
  ...done('strobe'),
  { read: '640', step: 'idle-set', slot: 'idle' },
  ...done('idle-set'),
  { fact: 'setByTotal', is: false },
  ...swept('sweep', ...curve)
];

const bothSigns: Line[] = [
  { sign: 'airPushedOut', seen: true },
  { sign: 'bothValvesClosed', seen: true }
];
const read = (step: string, slot: string, ...figures: string[]): Line[] =>
  figures.map((f) => ({ read: f, step, slot }));

/** Crank backed to the base circle, zeroed, and forward to lifts, the crank read at each. */
const wholeCycle = (step: string, falling: string[], lifts: [lift: string, stands: string][]): Line[] => [
  ...read(step, 'falling', ...falling),
  ...read(step, 'zero-again', '0.00', '0.00'),
  ...lifts.flatMap(([lift, stands]) => [...read(step, 'lift', lift), ...read(step, 'stands', stands)])
];

/** The generator's pump, as far as the lift that was found. The wheel reads 0 at true TDC. */
const liftFound = (tdc: [string, string][], falling: string[], lifts: [string, string][]): Line[] => [
  ...done('intake'),
  { choose: 'plate-read', option: 'two' },
  ...done('chart', 'safe', 'plugs', 'bar', 'cover', 'wheel'),
  ...pairs('4.82', ...tdc),
  ...done('tdc', 'mark', 'probe-out'),
  ...bothSigns,
  ...done('stroke', 'valve-out'),
  ...read('dial', 'spare-low', '0.6'),
  ...read('dial', 'spare-high', '4.1'),
  ...done('dial'),
  ...wholeCycle('lift', falling, lifts)
];

/** The rest of it: gear freed, tightened, proved, closed. */
const liftSet = (held: string, tight: string, again: [string, string][]): Line[] => [
  ...done('lift', 'decide'),
  ...read('free', 'lift-held', held),
  ...done('free', 'to-mark'),
  ...read('tighten', 'lift-held', held),
  ...read('tighten', 'torque-final', '34'),
  ...read('tighten', 'lift-tight', tight),
  ...done('tighten'),
  ...wholeCycle('verify', ['1.62', '0.58', '0.11', '0.02', '0.02', '0.02'], again),
  ...done('verify', 'valve-in', 'off', 'cover-on', 'close')
];

/** A diesel bled and started after its pump was timed. */
const bledAndStarted = (cylinders: string[], idle: string[], pressure: string): Line[] => [
  ...done('intake', 'secure'),
  { choose: 'stop-one', option: 'lever' },
  { choose: 'stop-two', option: 'plate' },
  ...done('stops'),
  ...read('low', 'screw-clear', '1', '2', '3'),
  ...done('low'),
  { fact: 'pumpOilFed', is: true },
  ...done('oil'),
  ...read('high', 'line-solid', ...cylinders),
  ...done('high'),
  { choose: 'cold-aid', option: 'none' },
  { choose: 'starts', option: 'yes' },
  { choose: 'smoke-cold', option: 'white' },
  ...read('start', 'oil-pressure', pressure),
  ...done('start'),
  { choose: 'smoke-warm', option: 'clear' },
  { choose: 'knock', option: 'soft' },
  { choose: 'evenness', option: 'even' },
  ...done('smoke'),
  ...read('idle', 'idle-diesel', ...idle),
  ...done('idle'),
  { choose: 'smoke-load', option: 'clear' },
  { choose: 'pull', option: 'good' },
  ...done('load'),
  ...read('leaks', 'leaks', '0'),
  ...done('leaks', 'close')
];

/** The dredger's rotary pump, as far as the gear on its taper. The wheel reads 357 at true TDC. */
const rotaryOn: Line[] = [
  { choose: 'lock-means', option: 'start' },
  ...done('intake', 'safe', 'plugs', 'bar', 'cover', 'wheel'),
  ...pairs('5.50', ['335.0', '19.0'], ['335.0', '19.0'], ['335.5', '19.0']),
  ...done('tdc'),
  ...bothSigns,
  ...done('stroke', 'gears', 'lock', 'pump-on', 'taper'),
  { choose: 'taper-key', option: 'none' },
  ...done('key', 'to-start', 'probe-out', 'gear')
];

/** The stone saw's magneto, as far as the mark. The wheel reads 0 at true TDC. */
const sawAtMark: Line[] = [
  ...done('intake', 'safe', 'ground', 'plugs', 'bar'),
  { fact: 'springShaft', is: true },
  ...done('shaft', 'wheel'),
  ...pairs('1.92', ['345.0', '15.0'], ['345.0', '15.0'], ['345.5', '15.0']),
  ...done('tdc', 'mark', 'probe-out'),
  ...bothSigns,
  ...done('stroke', 'ref'),
  { choose: 'gear-marks', option: 'lone' },
  ...done('marks')
];

/** The fire pump's marks, cylinder by cylinder, and the rest of its job. */
const pumpMarked = (marks: [cylinder: string, wheel: string][]): Line[] => [
  ...done('intake', 'safe', 'height', 'pointer', 'plugs', 'bar', 'wheel'),
  ...pairs('2.44', ['340.0', '20.0'], ['340.0', '20.0'], ['340.5', '20.0']),
  ...done('tdc'),
  ...marks.flatMap(([c, w]) => [...read('marks', 'mark-of', c), ...read('marks', 'mark-at', w)])
];

/** Jobs of the demo workshop. The Lock 4 pump's damper ring creeps from job to job; the last one has found it again. */
export const jobs: DemoJob[] = [
  {
    key: 'lock-4-2024',
    engine: 'Lock 4 pump',
    sheet: 'fit-from-scratch',
    by: 'Tobias Renn',
    opened: '2024-04-08T08:10:00Z',
    lines: wholeFit({
      depth: '1.80',
      pairs: [
        ['344.5', '14.5'],
        ['344.5', '14.5'],
        ['345.0', '14.0']
      ],
      tower: '5:40',
      rotor: '5:30',
      strobe: ['7.5b'],
      vacuum: false,
      torque: '18'
    })
  },
  {
    key: 'lock-4-2025',
    engine: 'Lock 4 pump',
    sheet: 'fit-from-scratch',
    by: 'Ines Farrow',
    opened: '2025-05-19T07:40:00Z',
    lines: wholeFit({
      depth: '1.80',
      pairs: [
        ['343.5', '13.0'],
        ['343.5', '13.5'],
        ['344.0', '13.0']
      ],
      tower: '5:40',
      rotor: '5:40',
      strobe: ['11.5b', '8.5b'],
      vacuum: false,
      torque: '18'
    })
  },
  {
    key: 'winch-2025',
    engine: 'Ropeway winch',
    sheet: 'fit-from-scratch',
    by: 'Marit Oakes',
    opened: '2025-09-02T08:00:00Z',
    lines: wholeFit({
      depth: '71 thou',
      pairs: [
        ['345.5', '15.0'],
        ['345.0', '15.5'],
        ['345.5', '15.0']
      ],
      tower: '2:10',
      rotor: '2:15',
      strobe: ['12.0b', '7.5b'],
      strobeAgain: ['8.0b', '7.5b'],
      vacuum: true,
      torque: '15 lbft'
    })
  },
  {
    key: 'lock-4-drive-2023',
    engine: 'Lock 4 pump',
    sheet: 'pedestal',
    by: 'Marit Oakes',
    opened: '2023-06-12T08:00:00Z',
    lines: pedestalWhole
  },
  {
    key: 'lock-4-drive-2026',
    engine: 'Lock 4 pump',
    sheet: 'pedestal',
    by: 'Ines Farrow',
    opened: '2026-11-24T10:15:00Z',
    promised: '2026-11-27',
    lines: floatMeasured(['1.473', '1.486', '1.473'], ['0.813 + 0.610', '0.813 + 0.622'])
  },
  {
    key: 'winch-gear-2024',
    engine: 'Ropeway winch',
    sheet: 'regear',
    by: 'Tobias Renn',
    opened: '2024-10-14T08:00:00Z',
    lines: winchRegear
  },
  {
    key: 'winch-swap-2026',
    engine: 'Ropeway winch',
    sheet: 'fit-different',
    by: 'Marit Oakes',
    opened: '2026-11-24T11:00:00Z',
    promised: '2026-11-28',
    lines: winchSwap
  },
  {
    key: 'winch-strobe-2022',
    engine: 'Ropeway winch',
    sheet: 'strobe-timing',
    by: 'Marit Oakes',
    opened: '2022-04-20T08:00:00Z',
    lines: [
      ...strobed(WINCH_MARK, '8.0b', '8.0b', curve2022),
      { skip: 'sweep', why: 'two points read a hair high, within what the strobe can show' },
      ...done('steady'),
      { read: '0 kPa', step: 'vacuum', slot: 'vac-kpa' },
      { read: '8.5b', step: 'vacuum', slot: 'vac-deg' },
      { read: '20 kPa', step: 'vacuum', slot: 'vac-kpa' },
      { read: '12.5b', step: 'vacuum', slot: 'vac-deg' },
      { read: '40 kPa', step: 'vacuum', slot: 'vac-kpa' },
      { read: '22.5b', step: 'vacuum', slot: 'vac-deg' },
      ...capsuleHolds('1 kPa'),
      ...done('vacuum', 'clamp-final', 'hose-on', 'hot-start', 'close')
    ]
  },
  {
    key: 'winch-strobe-2024',
    engine: 'Ropeway winch',
    sheet: 'strobe-timing',
    by: 'Tobias Renn',
    opened: '2024-05-06T08:00:00Z',
    lines: [
      ...strobed(WINCH_MARK, '8.0b', '8.0b', curve2024),
      { skip: 'sweep', why: 'lazy from 2,400 on: noted, to be recurved' },
      ...done('steady'),
      { read: '0 kPa', step: 'vacuum', slot: 'vac-kpa' },
      { read: '8.0b', step: 'vacuum', slot: 'vac-deg' },
      { read: '40 kPa', step: 'vacuum', slot: 'vac-kpa' },
      { read: '21.5b', step: 'vacuum', slot: 'vac-deg' },
      ...capsuleHolds('2 kPa'),
      ...done('vacuum', 'clamp-final', 'hose-on', 'hot-start', 'close')
    ]
  },
  {
    key: 'winch-recurve-2026',
    engine: 'Ropeway winch',
    sheet: 'recurve',
    by: 'Ines Farrow',
    opened: '2026-11-24T12:00:00Z',
    promised: '2026-11-27',
    lines: [
      ...done('intake', 'secure', 'free', 'strobe-on', 'hose', 'sweep-list', 'start'),
      ...swept('baseline', ...lazyUp, ...lazyDown),
      ...done('baseline'),
      { choose: 'load', option: 'mixed' },
      {
        target: [
          [900, 9],
          [1500, 16],
          [2000, 24],
          [2600, 31]
        ],
        step: 'targets'
      },
      ...done('targets')
    ]
  },
  {
    key: 'winch-static-2026',
    engine: 'Ropeway winch',
    sheet: 'static-timing',
    by: 'Tobias Renn',
    opened: '2026-11-24T15:30:00Z',
    promised: '2026-12-05',
    lines: [
      ...done('intake', 'safe'),
      { read: '0.41', step: 'gap', slot: 'contact-gap' },
      { read: '35', step: 'gap', slot: 'dwell' },
      { read: '37', step: 'gap', slot: 'dwell' },
      ...done('gap', 'plugs', 'bar', 'wheel'),
      ...pairs('71 thou', ['345.5', '15.5'], ['345.0', '15.5'], ['345.5', '15.5']),
      ...done('tdc', 'mark', 'probe-out'),
      { sign: 'airPushedOut', seen: true },
      { sign: 'companionRocking', seen: true },
      ...done('stroke', 'ref', 'room', 'trigger'),
      { read: '11b', step: 'index', slot: 'fires' },
      { read: '10.5b', step: 'index', slot: 'fires-again' },
      { read: '21.5', step: 'index', slot: 'rim' },
      { read: '8b', step: 'index', slot: 'fires' },
      { read: '7.5b', step: 'index', slot: 'fires-again' },
      { read: '20.3', step: 'index', slot: 'rim' }
    ]
  },
  {
    key: 'lock-4-2026',
    engine: 'Lock 4 pump',
    sheet: 'fit-from-scratch',
    by: 'Ines Farrow',
    opened: '2026-11-24T08:05:00Z',
    promised: '2026-11-27',
    lines: [
      ...done('intake', 'safe', 'bench', 'plugs', 'bar', 'wheel'),
      ...pairs('1.80', ['343.0', '11.5'], ['343.0', '12.0']),
      { by: 'Jory Pell' },
      { read: '343.0', step: 'tdc', slot: 'before' }
    ]
  },
  {
    key: 'winch-2026',
    engine: 'Ropeway winch',
    sheet: 'fit-from-scratch',
    by: 'Tobias Renn',
    opened: '2026-11-23T09:00:00Z',
    promised: '2026-11-30',
    lines: [
      ...done('intake', 'safe', 'bench', 'plugs', 'bar', 'wheel'),
      ...pairs('71 thou', ['345.0', '15.5'], ['346.0', '15.5'], ['345.5', '15.0']),
      { amend: '345.5', from: '346.0', why: 'misread' },
      ...done('tdc', 'mark', 'probe-out'),
      { sign: 'airPushedOut', seen: true },
      { sign: 'companionRocking', seen: true },
      ...done('stroke'),
      { read: '318.5', step: 'ref', slot: 'stands' }
    ]
  },
  {
    key: 'generator-2025',
    engine: 'Generator shed',
    sheet: 'verify-marks',
    by: 'Tobias Renn',
    opened: '2025-03-11T08:30:00Z',
    lines: verified('stop', stopPairs(['338.5', '21.5'], ['338.0', '22.0'], ['338.5', '21.5']))
  },
  {
    key: 'otter-2025',
    engine: 'Dredger Otter',
    sheet: 'verify-marks',
    by: 'Marit Oakes',
    opened: '2025-10-06T08:30:00Z',
    lines: verified(
      'fit',
      fitted(
        ['322', '7.46'],
        ['332', '14.55'],
        ['342', '19.85'],
        ['352', '23.03'],
        ['11', '22.89'],
        ['21', '19.58'],
        ['31', '14.19'],
        ['41', '6.96']
      )
    )
  },
  {
    key: 'generator-2026',
    engine: 'Generator shed',
    sheet: 'verify-marks',
    by: 'Tobias Renn',
    opened: '2026-11-24T09:30:00Z',
    promised: '2026-12-03',
    lines: [...upToTdc, { choose: 'tdc', option: 'stop' }, ...stopPairs(['338.0', '22.0'], ['338.5', '21.5'])]
  },
  {
    key: 'otter-2026',
    engine: 'Dredger Otter',
    sheet: 'verify-marks',
    by: 'Ines Farrow',
    opened: '2026-11-24T13:20:00Z',
    promised: '2026-12-01',
    lines: [
      ...upToTdc,
      { choose: 'tdc', option: 'fit' },
      // one turn of the pointer was missed at 31 degrees
      ...fitted(
        ['322.0', '7.44'],
        ['332.0', '14.56'],
        ['342.0', '19.83'],
        ['352.0', '23.04'],
        ['11.0', '22.90'],
        ['21.0', '19.57'],
        ['31.0', '13.18'],
        ['41.0', '6.98'],
        ['326.0', '10.49'],
        ['36.0', '10.78']
      )
    ]
  },
  {
    key: 'saw-2026',
    engine: 'Stone saw',
    sheet: 'verify-marks',
    by: 'Jory Pell',
    opened: '2026-11-24T14:40:00Z',
    promised: '2026-12-04',
    lines: [
      ...upToTdc,
      { choose: 'tdc', option: 'highest' },
      { read: '9.84', step: 'tdc', slot: 'top-dial' },
      { read: '2.5', step: 'tdc', slot: 'top' },
      { read: '1.0', step: 'tdc', slot: 'top' }
    ]
  },
  {
    key: 'fire-pump-2026',
    engine: 'Fire pump',
    sheet: 'verify-marks',
    by: 'Ines Farrow',
    opened: '2026-11-20T08:15:00Z',
    promised: '2026-11-26',
    lines: [
      ...upToTdc,
      ...pairs('1.40', ['345.0', '16.0'], ['345.0', '16.0'], ['345.5', '15.5']),
      ...done('tdc', 'probe-out', 'mark')
    ]
  },
  // two that cannot go on alone: one for the want of a second pair of hands, one for the want of a data sheet
  {
    key: 'winch-strobe-2026',
    engine: 'Ropeway winch',
    sheet: 'strobe-timing',
    by: 'Tobias Renn',
    opened: '2026-11-25T08:20:00Z',
    promised: '2026-12-02',
    lines: done('intake', 'marks', 'secure', 'strobe-on', 'hose', 'sweep-list')
  },
  {
    key: 'generator-static-2026',
    engine: 'Generator shed',
    sheet: 'static-timing',
    by: 'Jory Pell',
    opened: '2026-11-25T09:05:00Z',
    lines: []
  },
  {
    key: 'shed-lift-2025',
    engine: 'Generator shed',
    sheet: 'plunger-lift',
    by: 'Tobias Renn',
    opened: '2025-09-15T08:00:00Z',
    lines: [
      ...liftFound(
        [
          ['338.5', '21.5'],
          ['338.5', '21.0'],
          ['338.5', '21.5']
        ],
        ['3.05', '1.98', '0.96', '0.24', '0.05', '0.02', '0.02', '0.02'],
        [
          ['1r 0.99', '340.5'],
          ['2r 0.19', '341.5'],
          ['2r 0.39', '342.5']
        ]
      ),
      ...liftSet('2r 0.19', '2r 0.20', [
        ['1r 0.99', '342.0'],
        ['2r 0.19', '343.0'],
        ['2r 0.39', '344.0']
      ])
    ]
  },
  {
    key: 'shed-bleed-2025',
    engine: 'Generator shed',
    sheet: 'bleeding',
    by: 'Tobias Renn',
    opened: '2025-09-15T14:00:00Z',
    lines: bledAndStarted(['1', '3', '2'], ['850', '850', '860'], '310')
  },
  {
    key: 'shed-lift-2026',
    engine: 'Generator shed',
    sheet: 'plunger-lift',
    by: 'Ines Farrow',
    opened: '2026-11-24T13:00:00Z',
    promised: '2026-11-30',
    lines: [
      ...liftFound(
        [
          ['338.5', '21.5'],
          ['338.0', '21.5'],
          ['338.5', '21.5']
        ],
        ['3.11', '2.07', '1.02', '0.31', '0.07', '0.02', '0.02', '0.02'],
        [
          ['1r 0.99', '340.0'],
          ['2r 0.19', '341.0'],
          ['2r 0.39', '342.0']
        ]
      ),
      ...done('lift')
    ]
  },
  {
    key: 'shed-offset-2026',
    engine: 'Generator shed',
    sheet: 'locked-offset',
    by: 'Marit Oakes',
    opened: '2026-11-23T09:00:00Z',
    promised: '2026-12-04',
    lines: [...done('intake'), ...read('ledger', 'lock-setting', '11.4b')]
  },
  {
    key: 'otter-rotary-2024',
    engine: 'Dredger Otter',
    sheet: 'rotary-lock',
    by: 'Marit Oakes',
    opened: '2024-03-11T08:00:00Z',
    lines: [
      ...rotaryOn,
      ...read('first', 'torque-first', '20'),
      ...done('first', 'unlock'),
      ...read('final', 'torque-final', '58'),
      ...done('final'),
      ...read('prove', 'stands', '343.5'),
      ...done('prove', 'off', 'cover-on', 'close')
    ]
  },
  {
    key: 'otter-rotary-2026',
    engine: 'Dredger Otter',
    sheet: 'rotary-lock',
    by: 'Jory Pell',
    opened: '2026-11-24T09:30:00Z',
    promised: '2026-12-01',
    lines: [...rotaryOn, ...read('first', 'torque-first', '20')]
  },
  {
    key: 'saw-magneto-2025',
    engine: 'Stone saw',
    sheet: 'magneto',
    by: 'Marit Oakes',
    opened: '2025-04-14T08:00:00Z',
    lines: [
      ...sawAtMark,
      ...read('coupling', 'drive-stands', '81'),
      ...done('coupling', 'set', 'offer'),
      ...read('snap', 'snap', '5a', '5a', '5a'),
      ...done('snap'),
      ...read('flange', 'flange-torque', '14'),
      ...read('flange', 'snap-after', '5a', '5.5a', '5a'),
      ...done('flange', 'new-marks', 'leads', 'off', 'sweep'),
      { choose: 'start-by', option: 'hand' },
      ...done('start'),
      ...read('run', 'run-rpm', '820'),
      ...read('run', 'run-spark', '23b', '23b', '22.5b'),
      ...done('run', 'stop', 'close')
    ]
  },
  {
    key: 'saw-magneto-2026',
    engine: 'Stone saw',
    sheet: 'magneto',
    by: 'Jory Pell',
    opened: '2026-11-23T13:00:00Z',
    promised: '2026-12-03',
    lines: [...sawAtMark, ...read('coupling', 'drive-stands', '93')]
  },
  {
    key: 'fire-marks-2025',
    engine: 'Fire pump',
    sheet: 'two-stroke',
    by: 'Tobias Renn',
    opened: '2025-06-02T08:00:00Z',
    lines: [
      ...pumpMarked([
        ['1', '339.0'],
        ['2', '99.0'],
        ['3', '219.5']
      ]),
      ...done('marks', 'probe-out', 'clear'),
      ...['1', '2', '3'].flatMap((c) => [...read('match', 'strobe-on', c), ...read('match', 'number-seen', c)]),
      ...done('match', 'arm'),
      ...read('stop', 'stop-turns', '0'),
      ...read('stop', 'stop-spark', '18b'),
      ...read('stop', 'stop-turns', '2'),
      ...read('stop', 'stop-spark', '20.4b'),
      ...done('stop'),
      ...read('lock', 'stop-again', '21b', '21b', '21b'),
      ...done('lock'),
      { fact: 'waterCooled', is: true },
      ...done('water', 'ready', 'start'),
      ...read('idle-timing', 'idle-timing', '4b', '4b', '4b'),
      ...done('idle-timing'),
      ...read('idle', 'idle-two', '820', '820', '830'),
      ...done('idle', 'load', 'close')
    ]
  },
  {
    key: 'fire-marks-2026',
    engine: 'Fire pump',
    sheet: 'two-stroke',
    by: 'Tobias Renn',
    opened: '2026-11-24T08:30:00Z',
    promised: '2026-11-29',
    lines: pumpMarked([
      ['1', '339.0'],
      ['2', '99.0'],
      ['3', '221.5']
    ])
  },
  {
    key: 'winch-teardown-2026',
    engine: 'Ropeway winch',
    sheet: 'teardown',
    by: 'Marit Oakes',
    opened: '2026-11-20T09:00:00Z',
    promised: '2026-12-05',
    lines: [
      ...done('intake'),
      { remark: 'oil round the bush, leads numbered, one terminal green', step: 'received' },
      ...done('received', 'clean'),
      ...read('float', 'float-bench', '0.44', '0.45'),
      ...done('float'),
      ...read('platform', 'top-float', '0.09', '0.10'),
      ...read('platform', 'bush-play', '0.11', '0.12'),
      { skip: 'platform', why: 'the bush is worn: noted, and it goes on to the rest' },
      { choose: 'wear-place', option: 'low' },
      { choose: 'wear-surface', option: 'polished' },
      ...done('pattern'),
      ...read('teeth', 'teeth-counted', '16'),
      ...read('teeth', 'outside-found', '52.11', '52.13'),
      { choose: 'hand-seen', option: 'left' },
      ...done('teeth'),
      { choose: 'under-tip', option: 'tooth' },
      ...done('index'),
      { choose: 'material-by', option: 'iron' },
      { choose: 'material-listed', option: 'listed' },
      ...done('material'),
      { choose: 'advance-moves', option: 'sticks' },
      ...done('advance'),
      { choose: 'capsule-holds', option: 'holds' },
      ...done('capsule'),
      { choose: 'plate-is', option: 'steady' },
      ...done('plate'),
      { choose: 'cap-is', option: 'burnt-side' },
      { choose: 'rotor-is', option: 'sound' },
      { choose: 'leads-are', option: 'sound' },
      ...done('secondary')
    ]
  },
  {
    key: 'winch-bench-2026',
    engine: 'Ropeway winch',
    sheet: 'bench-check',
    by: 'Jory Pell',
    opened: '2026-11-23T09:00:00Z',
    after: 'winch-teardown-2026',
    promised: '2026-12-02',
    lines: [
      ...done('intake', 'received', 'float'),
      { skip: 'platform', why: 'the bush is worn, as carried over: a new one is on order' },
      ...done('free', 'plate', 'secondary'),
      { read: '0.40', step: 'gap', slot: 'contact-gap' },
      { read: '38', step: 'gap', slot: 'dwell' },
      ...done('gap'),
      ...['20.9', '80.6', '139.4', '199.1', '259.3', '320.6'].map((read): Line => ({
        read,
        step: 'lobes',
        slot: 'lobe'
      }))
    ]
  }
];
