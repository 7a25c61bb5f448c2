import type { Field } from './data-sheet.ts';

const angle = (name: string, label: string, example: string, more: Partial<Field> = {}): Field => ({
  name,
  label,
  group: 'Advance',
  kind: 'quantity',
  quantity: 'angle',
  min: 0,
  max: 90,
  example,
  ...more
});
const timing = (name: string, label: string, example: string): Field => ({
  name,
  label,
  group: 'Advance',
  kind: 'quantity',
  quantity: 'timing',
  min: -60,
  max: 80,
  example
});
const number = (name: string, label: string, example: string, more: Partial<Field> = {}): Field => ({
  name,
  label,
  group: 'Advance',
  kind: 'number',
  min: -1000,
  max: 1000,
  example,
  ...more
});
const pressure = (name: string, label: string, example: string): Field => ({
  name,
  label,
  group: 'Advance',
  kind: 'quantity',
  quantity: 'pressure',
  min: 0,
  max: 120,
  example
});

/** Values of trigger, advance curve, springs and vacuum unit. */
export const curveFields: Field[] = [
  {
    name: 'advanceKind',
    label: 'Advance by',
    group: 'Advance',
    kind: 'choice',
    choices: [
      { id: 'weights', label: 'weights and springs' },
      { id: 'locked', label: 'locked: none in the distributor' },
      { id: 'electronic', label: 'a control unit' }
    ],
    example: 'weights and springs'
  },
  {
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
  },
  {
    name: 'contactGapMinMm',
    label: 'Contact or trigger gap, least',
    group: 'Advance',
    kind: 'quantity',
    quantity: 'length',
    positive: true,
    max: 5,
    example: '0.35 mm'
  },
  {
    name: 'contactGapMaxMm',
    label: 'Contact or trigger gap, most',
    group: 'Advance',
    kind: 'quantity',
    quantity: 'length',
    positive: true,
    max: 5,
    example: '0.45 mm'
  },
  angle('dwellMinDeg', 'Dwell, least, distributor degrees', '34'),
  angle('dwellMaxDeg', 'Dwell, most, distributor degrees', '40'),
  {
    name: 'advanceBand',
    label: 'Timing over speed, limits without vacuum',
    group: 'Advance',
    kind: 'band',
    example: '650 7-11; 1800 19-24; 2600 30-34',
    help: 'Engine speed, then least and most before TDC; points apart by semicolons.'
  },
  timing('totalMaxBtdc', 'Total timing without vacuum, most', '32 before'),
  timing('startMinBtdc', 'Initial timing may be set from', '6 before'),
  timing('startMaxBtdc', 'Initial timing may be set to', '11 before'),
  angle('creepMaxDeg', 'Advance already in at idle, most', '0.5'),
  angle('scatterMaxDeg', 'Scatter at steady speed, most', '2'),
  number('springARate', 'Spring A in now, rate N/mm', '1.9', { positive: true }),
  number('springAPreload', 'Spring A in now, force at rest N', '2.6'),
  number('springBRate', 'Spring B in now, rate N/mm', '3.4', { positive: true }),
  number('springBPreload', 'Spring B in now, force at rest N', '0.4'),
  number('extensionMmPerDeg', 'Springs stretch, mm a crank degree', '0.11', {
    positive: true,
    help: 'How much longer each spring gets for a degree of advance at the crank.'
  }),
  angle('stopDeg', 'Stop in now, crank degrees', '22'),
  {
    name: 'vacuumCurve',
    label: 'Vacuum advance over depression',
    group: 'Advance',
    kind: 'pairs',
    example: '15 0; 25 6; 40 14',
    help: 'kPa below the air, then crank degrees; points apart by semicolons.'
  },
  number('vacuumLossMax', 'Vacuum unit may lose, kPa a minute', '3', { positive: true }),
  pressure('idleKpa', 'Depression at idle', '55 kPa'),
  {
    name: 'cruiseRpm',
    label: 'Cruise or working speed',
    group: 'Advance',
    kind: 'quantity',
    quantity: 'speed',
    positive: true,
    max: 10000,
    example: '2200 rpm'
  },
  pressure('cruiseKpa', 'Depression at that speed', '35 kPa'),
  angle('lobeToleranceDeg', 'Spacing of the sparks, within \u00b1, distributor degrees', '0.5', {
    positive: true,
    min: 0.01
  }),
  angle('tapeReachDeg', 'Marks on the rim reach to', '20')
];
