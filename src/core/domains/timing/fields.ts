import { field, quantity } from '../../engine/fields.ts';

/** Values of the data sheet. */
export const fields = [
  field({
    name: 'staticBtdc',
    label: 'Initial timing',
    group: 'Timing',
    kind: 'quantity',
    quantity: 'timing',
    min: -60,
    max: 80,
    example: '7 before',
    onCard: true
  }),
  field({
    name: 'staticMinBtdc',
    label: 'Initial timing, least',
    group: 'Timing',
    kind: 'quantity',
    quantity: 'timing',
    min: -60,
    max: 80,
    example: '6 before',
    onCard: true
  }),
  field({
    name: 'staticMaxBtdc',
    label: 'Initial timing, most',
    group: 'Timing',
    kind: 'quantity',
    quantity: 'timing',
    min: -60,
    max: 80,
    example: '8 before',
    onCard: true
  }),
  field({
    name: 'idleRpm',
    label: 'Idle speed',
    group: 'Timing',
    kind: 'quantity',
    quantity: 'speed',
    positive: true,
    max: 5000,
    example: '650 rpm',
    onCard: true
  }),
  field({
    name: 'triggerKind',
    label: 'Trigger',
    group: 'Advance',
    kind: 'choice',
    choices: [
      { id: 'contacts', label: 'contacts' },
      { id: 'induction', label: 'induction pickup' },
      { id: 'vane', label: 'vane in a sensor' }
    ],
    example: 'contacts'
  }),
  field({
    name: 'contactGapMinMm',
    label: 'Contact or trigger gap, least',
    group: 'Advance',
    kind: 'quantity',
    quantity: 'length',
    positive: true,
    max: 5,
    example: '0.35 mm'
  }),
  field({
    name: 'contactGapMaxMm',
    label: 'Contact or trigger gap, most',
    group: 'Advance',
    kind: 'quantity',
    quantity: 'length',
    positive: true,
    max: 5,
    example: '0.45 mm'
  }),
  quantity('Advance', 'angle', 'dwellMinDeg', 'Dwell, least, distributor degrees', '34', { min: 0, max: 90 }),
  quantity('Advance', 'angle', 'dwellMaxDeg', 'Dwell, most, distributor degrees', '40', { min: 0, max: 90 })
];
