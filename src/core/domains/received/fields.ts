import { field, length } from '../../engine/fields.ts';

/** Values of the data sheet. */
export const fields = [
  length('Distributor', 'bushPlayMaxMm', 'Shaft may wobble in its bush, most', '0.06 mm', { max: 5 }),
  length('Distributor', 'shaftRunoutMaxMm', 'Shaft may run out, most', '0.05 mm', { max: 5 }),
  length('Distributor', 'topFloatMaxMm', 'Advance platform may lift, most', '0.15 mm', { max: 5 }),
  field({
    name: 'rotorSwingMaxDeg',
    label: 'Rotor may swing to and fro in place, most, distributor degrees',
    group: 'Distributor',
    kind: 'quantity',
    quantity: 'angle',
    positive: true,
    max: 30,
    example: '2.5'
  })
];
