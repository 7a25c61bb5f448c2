import { field, senses } from '../../engine/fields.ts';

/** Values of the data sheet. */
export const fields = [
  field({
    name: 'cycle',
    label: 'Cycle',
    group: 'Engine',
    kind: 'choice',
    choices: [
      { id: 'four-stroke', label: 'four-stroke' },
      { id: 'two-stroke', label: 'two-stroke' }
    ],
    example: 'four-stroke'
  }),
  field({
    name: 'cylinders',
    label: 'Cylinders',
    group: 'Engine',
    kind: 'quantity',
    quantity: 'count',
    min: 1,
    max: 12,
    example: '4'
  }),
  field({
    name: 'firingOrder',
    label: 'Firing order',
    group: 'Engine',
    kind: 'order',
    example: '1-2-4-3',
    onCard: true
  }),
  field({
    name: 'firedBy',
    label: 'What times the firing',
    group: 'Engine',
    kind: 'choice',
    choices: [
      { id: 'distributor', label: 'a distributor' },
      { id: 'magneto', label: 'a magneto' },
      { id: 'pump', label: 'an injection pump' },
      { id: 'flywheel', label: 'triggers at the flywheel' },
      { id: 'control-unit', label: 'a control unit, no distributor' }
    ],
    example: 'a distributor',
    help: 'It decides which jobs are offered for this engine.'
  }),
  field({
    name: 'firingOffsets',
    label: 'Firing angles, if uneven',
    group: 'Engine',
    kind: 'offsets',
    example: '0 90 360 450',
    help: 'Crank degrees of each cylinder in firing order; leave out on an even-firing engine.'
  }),
  field({
    name: 'runningDirection',
    label: 'Crank runs, seen from the front',
    group: 'Engine',
    kind: 'choice',
    choices: senses,
    example: 'clockwise',
    onCard: true
  })
];
