import type { Quantity } from '../units/units.ts';
import { curveFields } from './curve-fields.ts';
import { driveFields } from './drive-fields.ts';

/** A value that an engine's data sheet may hold. */
export interface Field {
  name: string;
  label: string;
  group:
    | 'Engine'
    | 'Crank and piston'
    | 'Distributor'
    | 'Drive'
    | 'Gears'
    | 'Cap and rotor'
    | 'Timing'
    | 'Advance'
    | 'Valves';
  kind: 'quantity' | 'number' | 'choice' | 'order' | 'offsets' | 'band' | 'pairs';
  quantity?: Quantity;
  choices?: { id: string; label: string }[];
  example: string;
  help?: string;
  min?: number;
  max?: number;
  positive?: boolean;
}

const senses = [
  { id: 'cw', label: 'clockwise' },
  { id: 'ccw', label: 'anticlockwise' }
];

export const dataSheetFields: Field[] = [
  {
    name: 'cycle',
    label: 'Cycle',
    group: 'Engine',
    kind: 'choice',
    choices: [
      { id: 'four-stroke', label: 'four-stroke' },
      { id: 'two-stroke', label: 'two-stroke' }
    ],
    example: 'four-stroke'
  },
  {
    name: 'cylinders',
    label: 'Cylinders',
    group: 'Engine',
    kind: 'quantity',
    quantity: 'count',
    min: 1,
    max: 12,
    example: '4'
  },
  { name: 'firingOrder', label: 'Firing order', group: 'Engine', kind: 'order', example: '1-2-4-3' },
  {
    name: 'firingOffsets',
    label: 'Firing angles, if uneven',
    group: 'Engine',
    kind: 'offsets',
    example: '0 90 360 450',
    help: 'Crank degrees of each cylinder in firing order; leave out on an even-firing engine.'
  },
  {
    name: 'runningDirection',
    label: 'Crank runs, seen from the front',
    group: 'Engine',
    kind: 'choice',
    choices: senses,
    example: 'clockwise'
  },
  {
    name: 'strokeMm',
    label: 'Stroke',
    group: 'Crank and piston',
    kind: 'quantity',
    quantity: 'length',
    positive: true,
    max: 2000,
    example: '92 mm'
  },
  {
    name: 'rodMm',
    label: 'Connecting rod, between centres',
    group: 'Crank and piston',
    kind: 'quantity',
    quantity: 'length',
    positive: true,
    max: 5000,
    example: '171 mm'
  },
  {
    name: 'pinOffsetMm',
    label: 'Pin offset',
    group: 'Crank and piston',
    kind: 'quantity',
    quantity: 'length',
    min: -100,
    max: 100,
    example: '0 mm',
    help: 'Positive towards the side the crankpin moves to just after TDC.'
  },
  {
    name: 'damperDiameterMm',
    label: 'Damper or pulley rim, diameter',
    group: 'Crank and piston',
    kind: 'quantity',
    quantity: 'length',
    positive: true,
    max: 3000,
    example: '180 mm'
  },
  {
    name: 'ringGearTeeth',
    label: 'Ring-gear teeth',
    group: 'Crank and piston',
    kind: 'quantity',
    quantity: 'count',
    min: 10,
    max: 1000,
    example: '110'
  },
  {
    name: 'backlashDeg',
    label: 'Slack of the timing drive, at the crank',
    group: 'Crank and piston',
    kind: 'quantity',
    quantity: 'angle',
    min: 0,
    max: 90,
    example: '15',
    help: 'How far back the crank must go so that coming forward again takes up all clearance.'
  },
  {
    name: 'reversal',
    label: 'Turning the crank back',
    group: 'Crank and piston',
    kind: 'choice',
    choices: [
      { id: 'allowed', label: 'allowed' },
      { id: 'forbidden', label: 'forbidden' }
    ],
    example: 'allowed'
  },
  {
    name: 'tdcWithinDeg',
    label: 'True TDC to be known within \u00b1',
    group: 'Crank and piston',
    kind: 'quantity',
    quantity: 'angle',
    positive: true,
    max: 20,
    example: '0.5'
  },
  {
    name: 'rotorDirection',
    label: 'Rotor runs, seen from above',
    group: 'Distributor',
    kind: 'choice',
    choices: senses,
    example: 'anticlockwise'
  },
  {
    name: 'ratio',
    label: 'Distributor turns for one of the crank',
    group: 'Distributor',
    kind: 'number',
    positive: true,
    max: 4,
    example: '0.5'
  },
  {
    name: 'rimDiameterMm',
    label: 'Housing rim, diameter',
    group: 'Distributor',
    kind: 'quantity',
    quantity: 'length',
    positive: true,
    max: 1000,
    example: '82 mm'
  },
  {
    name: 'gearTeeth',
    label: 'Drive-gear teeth',
    group: 'Distributor',
    kind: 'quantity',
    quantity: 'count',
    min: 3,
    max: 200,
    example: '11'
  },
  {
    name: 'vacuumUnit',
    label: 'Vacuum advance',
    group: 'Distributor',
    kind: 'choice',
    choices: [
      { id: 'fitted', label: 'fitted' },
      { id: 'none', label: 'none' }
    ],
    example: 'fitted'
  },
  ...driveFields,
  {
    name: 'staticBtdc',
    label: 'Initial timing',
    group: 'Timing',
    kind: 'quantity',
    quantity: 'timing',
    min: -60,
    max: 80,
    example: '7 before'
  },
  {
    name: 'staticMinBtdc',
    label: 'Initial timing, least',
    group: 'Timing',
    kind: 'quantity',
    quantity: 'timing',
    min: -60,
    max: 80,
    example: '6 before'
  },
  {
    name: 'staticMaxBtdc',
    label: 'Initial timing, most',
    group: 'Timing',
    kind: 'quantity',
    quantity: 'timing',
    min: -60,
    max: 80,
    example: '8 before'
  },
  {
    name: 'idleRpm',
    label: 'Idle speed',
    group: 'Timing',
    kind: 'quantity',
    quantity: 'speed',
    positive: true,
    max: 5000,
    example: '650 rpm'
  },
  {
    name: 'clampTorqueNm',
    label: 'Clamp bolt torque',
    group: 'Timing',
    kind: 'quantity',
    quantity: 'torque',
    positive: true,
    max: 500,
    example: '18 Nm'
  },
  ...curveFields,
  {
    name: 'ivoBtdc',
    label: 'Inlet opens, before TDC',
    group: 'Valves',
    kind: 'quantity',
    quantity: 'angle',
    min: -60,
    max: 120,
    example: '10'
  },
  {
    name: 'ivcAbdc',
    label: 'Inlet closes, after BDC',
    group: 'Valves',
    kind: 'quantity',
    quantity: 'angle',
    min: -60,
    max: 120,
    example: '50'
  },
  {
    name: 'evoBbdc',
    label: 'Exhaust opens, before BDC',
    group: 'Valves',
    kind: 'quantity',
    quantity: 'angle',
    min: -60,
    max: 120,
    example: '50'
  },
  {
    name: 'evcAtdc',
    label: 'Exhaust closes, after TDC',
    group: 'Valves',
    kind: 'quantity',
    quantity: 'angle',
    min: -60,
    max: 120,
    example: '10'
  }
];

const byName = new Map(dataSheetFields.map((f) => [f.name, f]));
export const fieldOf = (name: string): Field | undefined => byName.get(name);
