import { field, plain, quantity, type Field } from '../../engine/fields.ts';

type More = Parameters<typeof quantity>[5];
const angle = <const N extends string>(name: N, label: string, example: string, more: More = {}): Field<N> =>
  quantity('Advance', 'angle', name, label, example, { min: 0, max: 90, ...more });
const timing = <const N extends string>(name: N, label: string, example: string): Field<N> =>
  quantity('Advance', 'timing', name, label, example, { min: -60, max: 80 });
const number = <const N extends string>(name: N, label: string, example: string, more: More = {}): Field<N> =>
  plain('Advance', name, label, example, { min: -1000, max: 1000, ...more });
const pressure = <const N extends string>(name: N, label: string, example: string): Field<N> =>
  quantity('Advance', 'pressure', name, label, example, { min: 0, max: 120 });

/** Values of the data sheet. */
export const fields = [
  field({
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
  }),
  field({
    name: 'advanceBand',
    label: 'Timing over speed, limits without vacuum',
    group: 'Advance',
    kind: 'band',
    example: '650 7-11; 1800 19-24; 2600 30-34',
    help: 'Engine speed, then least and most before TDC; points apart by semicolons.'
  }),
  timing('totalMaxBtdc', 'Total timing without vacuum, most', '32 before'),
  timing('partLoadMaxBtdc', 'Timing at part load with vacuum, most', '48 before'),
  timing('startMinBtdc', 'Initial timing may be set from', '6 before'),
  timing('startMaxBtdc', 'Initial timing may be set to', '11 before'),
  angle('creepMaxDeg', 'Advance already in at idle, most', '0.5'),
  angle('scatterMaxDeg', 'Scatter at steady speed, most', '2'),
  number('springARate', 'Spring A in now, rate N/mm', '1.9', { positive: true }),
  number('springAPreload', 'Spring A in now, force at rest N', '2.6'),
  number('springBRate', 'Spring B in now, rate N/mm', '3.4', { positive: true }),
  number('springBPreload', 'Spring B in now, force at rest N', '0.4'),
  number('springsRatePm', 'Their rates are known to ±, N/mm', '0.04', {
    help: 'Twice the standard uncertainty, as they were rated. Without it no band can be given for a predicted curve.'
  }),
  number('springsForcePm', 'Their forces at rest are known to ±, N', '0.08'),
  number('extensionMmPerDeg', 'Springs stretch, mm a crank degree', '0.11', {
    positive: true,
    help: 'How much longer each spring gets for a degree of advance at the crank.'
  }),
  angle('stopDeg', 'Stop in now, crank degrees', '22'),
  field({
    name: 'vacuumCurve',
    label: 'Vacuum advance over depression',
    group: 'Advance',
    kind: 'pairs',
    example: '15 0; 25 6; 40 14',
    help: 'kPa below the air, then crank degrees; points apart by semicolons.'
  }),
  angle('vacuumTolDeg', 'Vacuum advance, within \u00b1 of its curve', '2'),
  number('vacuumLossMax', 'Vacuum capsule may lose, kPa a minute', '3', { positive: true }),
  pressure('idleKpa', 'Depression at idle', '55 kPa'),
  field({
    name: 'cruiseRpm',
    label: 'Cruise or working speed',
    group: 'Advance',
    kind: 'quantity',
    quantity: 'speed',
    positive: true,
    max: 10000,
    example: '2200 rpm'
  }),
  pressure('cruiseKpa', 'Depression at that speed', '35 kPa'),
  angle('lobeToleranceDeg', 'Spacing of the sparks, within \u00b1, distributor degrees', '0.5', {
    positive: true,
    min: 0.01
  }),
  angle('tapeReachDeg', 'Marks on the rim reach to', '20')
];
