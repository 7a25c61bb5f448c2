import { field } from '../../engine/fields.ts';

/** Values of the data sheet. */
export const fields = [
  field({
    name: 'strokeMm',
    label: 'Stroke',
    group: 'Crank and piston',
    kind: 'quantity',
    quantity: 'length',
    positive: true,
    max: 2000,
    example: '92 mm',
    onCard: true
  }),
  field({
    name: 'rodMm',
    label: 'Connecting rod, between centres',
    group: 'Crank and piston',
    kind: 'quantity',
    quantity: 'length',
    positive: true,
    max: 5000,
    example: '171 mm',
    onCard: true
  }),
  field({
    name: 'pinOffsetMm',
    label: 'Pin offset',
    group: 'Crank and piston',
    kind: 'quantity',
    quantity: 'length',
    min: -100,
    max: 100,
    example: '0 mm',
    help: 'Positive towards the side the crankpin moves to just after TDC.'
  }),
  field({
    name: 'damperDiameterMm',
    label: 'Damper or pulley rim, diameter',
    group: 'Crank and piston',
    kind: 'quantity',
    quantity: 'length',
    positive: true,
    max: 3000,
    example: '180 mm'
  }),
  field({
    name: 'damperRing',
    label: 'Damper',
    group: 'Crank and piston',
    kind: 'choice',
    choices: [
      { id: 'rubber', label: 'ring on rubber' },
      { id: 'solid', label: 'in one piece' }
    ],
    example: 'ring on rubber',
    help: 'A ring on rubber can creep round its hub and take the mark with it.'
  }),
  field({
    name: 'ringGearTeeth',
    label: 'Ring-gear teeth',
    group: 'Crank and piston',
    kind: 'quantity',
    quantity: 'count',
    min: 10,
    max: 1000,
    example: '110'
  }),
  field({
    name: 'backlashDeg',
    label: 'Slack of the timing drive, at the crank',
    group: 'Crank and piston',
    kind: 'quantity',
    quantity: 'angle',
    min: 0,
    max: 90,
    example: '15',
    help: 'How far back the crank must go so that coming forward again takes up all clearance.',
    onCard: true
  }),
  field({
    name: 'driveSlackMaxDeg',
    label: 'Slack of the timing drive, wear limit',
    group: 'Crank and piston',
    kind: 'quantity',
    quantity: 'angle',
    positive: true,
    max: 90,
    example: '8'
  }),
  field({
    name: 'reversal',
    label: 'Turning the crank back',
    group: 'Crank and piston',
    kind: 'choice',
    choices: [
      { id: 'allowed', label: 'allowed' },
      { id: 'forbidden', label: 'forbidden' }
    ],
    example: 'allowed'
  }),
  field({
    name: 'tdcWithinDeg',
    label: 'True TDC to be known within \u00b1',
    group: 'Crank and piston',
    kind: 'quantity',
    quantity: 'angle',
    positive: true,
    max: 20,
    example: '0.5',
    onCard: true
  }),
  field({
    name: 'ivoBtdc',
    label: 'Inlet opens, before TDC',
    group: 'Valves',
    kind: 'quantity',
    quantity: 'angle',
    min: -60,
    max: 120,
    example: '10'
  }),
  field({
    name: 'ivcAbdc',
    label: 'Inlet closes, after BDC',
    group: 'Valves',
    kind: 'quantity',
    quantity: 'angle',
    min: -60,
    max: 120,
    example: '50'
  }),
  field({
    name: 'evoBbdc',
    label: 'Exhaust opens, before BDC',
    group: 'Valves',
    kind: 'quantity',
    quantity: 'angle',
    min: -60,
    max: 120,
    example: '50'
  }),
  field({
    name: 'evcAtdc',
    label: 'Exhaust closes, after TDC',
    group: 'Valves',
    kind: 'quantity',
    quantity: 'angle',
    min: -60,
    max: 120,
    example: '10'
  })
];
