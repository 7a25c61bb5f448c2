import { parts } from '$core/domains/engine/parts.ts';

/** Places round an engine seen from above, its front at the left, and the states that belong to each. */
export interface Station {
  id: string;
  x: number;
  y: number;
  /** states whose name begins so */
  of: readonly string[];
}

export const stations: readonly Station[] = [
  { id: 'battery', x: 70, y: 52, of: ['battery-isolated'] },
  {
    id: 'switch',
    x: 196,
    y: 40,
    of: ['ignition-live', 'engine-running', 'first-run-seen', 'sweep-done']
  },
  { id: 'fuel', x: 70, y: 262, of: ['fuel-disabled', 'low-bled', 'fuel-bled', 'lines-loose'] },
  { id: 'ground', x: 560, y: 272, of: ['vehicle-secured', 'on-stand', 'stand-locked'] },
  {
    id: 'crank',
    x: 128,
    y: 160,
    of: [
      'barring-tool-fitted',
      'degree-wheel-on',
      'crank-at-reference',
      'backlash-taken-up',
      'damper-verified',
      'scale-made',
      'damper-changed'
    ]
  },
  {
    id: 'front',
    x: 186,
    y: 230,
    of: ['drive-cover-off', 'cam-timed', 'pump-gear-loose', 'taper-', 'key-agreed']
  },
  {
    id: 'plugs',
    x: 352,
    y: 116,
    of: ['plugs-out', 'probe-in', 'piston-stop-in', 'tdc-true', 'compression-confirmed', 'hand-at-opening']
  },
  {
    id: 'leads',
    x: 300,
    y: 70,
    of: ['leads-', 'strobe-connected', 'spark-outlet-grounded', 'cylinders-matched']
  },
  {
    id: 'unit',
    x: 250,
    y: 190,
    of: [
      'distributor-',
      'gear-meshed',
      'gear-',
      'clamp-',
      'housing-',
      'gasket-',
      'rotor-pin-in',
      'cap-',
      'witness-',
      'base-timing-set',
      'magneto-',
      'impulse-set',
      'snap-proved',
      'drive-oriented',
      'coupling-oriented',
      'spring-shaft-open',
      'flange-stands-off',
      'pump-locked',
      'pump-on',
      'pump-held',
      'pump-timing-verified',
      'support-bracket-on',
      'pump-oil-line-on',
      'advance-',
      'curve-',
      'gap-set',
      'trigger-verified'
    ]
  },
  {
    id: 'bore',
    x: 330,
    y: 252,
    of: [
      'openings-covered',
      'pump-shaft-present',
      'oil-drive-',
      'rings-',
      'shaft-',
      'drive-shaft-out',
      'gauge-washer-in',
      'part-missing'
    ]
  },
  { id: 'oil', x: 440, y: 252, of: ['oil-primed', 'oil-pressure-up', 'pump-oil-primed'] },
  { id: 'capsule', x: 210, y: 268, of: ['vacuum-plugged'] },
  { id: 'flywheel', x: 512, y: 160, of: ['engine-pin-in', 'marks-complete'] },
  {
    id: 'throttle',
    x: 440,
    y: 64,
    of: ['throttle-at-stop', 'arm-on-stop', 'full-advance-set', 'idle-set']
  },
  { id: 'water', x: 560, y: 60, of: ['water-on'] }
];

const names: Readonly<Record<string, string>> = parts;
/** What a station is called at the bench. */
export const nameOf = (s: Station): string => names[`engine.${s.id}`]!;

/** Where a state belongs; undefined: nowhere on an engine seen from above. */
export const stationOf = (flag: string): Station | undefined =>
  stations.find((s) => s.of.some((f) => (f.endsWith('-') ? flag.startsWith(f) : flag === f)));
