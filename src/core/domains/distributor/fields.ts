import { choice, field, length, senses } from '../../engine/fields.ts';

export const hands: [string, string][] = [
  ['right', 'right-hand'],
  ['left', 'left-hand']
];

/** Values of the data sheet. */
export const fields = [
  field({
    name: 'rotorDirection',
    label: 'Rotor runs, seen from above',
    group: 'Distributor',
    kind: 'choice',
    choices: senses,
    example: 'anticlockwise',
    onCard: true
  }),
  field({
    name: 'ratio',
    label: 'Distributor turns for one of the crank',
    group: 'Distributor',
    kind: 'number',
    positive: true,
    max: 4,
    example: '0.5',
    onCard: true
  }),
  field({
    name: 'rimDiameterMm',
    label: 'Housing rim, diameter',
    group: 'Distributor',
    kind: 'quantity',
    quantity: 'length',
    positive: true,
    max: 1000,
    example: '82 mm'
  }),
  field({
    name: 'gearTeeth',
    label: 'Drive-gear teeth',
    group: 'Distributor',
    kind: 'quantity',
    quantity: 'count',
    min: 3,
    max: 200,
    example: '11'
  }),
  field({
    name: 'vacuumUnit',
    label: 'Vacuum advance',
    group: 'Distributor',
    kind: 'choice',
    choices: [
      { id: 'fitted', label: 'fitted' },
      { id: 'none', label: 'none' }
    ],
    example: 'fitted'
  }),
  field({
    name: 'clampTorqueNm',
    label: 'Clamp bolt torque',
    group: 'Timing',
    kind: 'quantity',
    quantity: 'torque',
    positive: true,
    max: 500,
    example: '18 Nm',
    onCard: true
  }),
  length('Drive', 'gasketMm', 'Gasket, compressed', '0.8 mm', { positive: false, min: 0 }),
  choice('Gears', 'gearHand', 'Drive gear, hand', hands),
  length('Gears', 'gearPitchMm', 'Drive gear, pitch diameter', '31 mm'),
  field({
    name: 'helixDeg',
    label: 'Drive gear, helix angle from its axis',
    group: 'Gears',
    kind: 'quantity',
    quantity: 'angle',
    positive: true,
    max: 89,
    example: '41'
  })
];
