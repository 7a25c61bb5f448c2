import { length } from '../../engine/fields.ts';

/** Values of the data sheet. */
export const fields = [
  length('Distributor', 'bushPlayMaxMm', 'Shaft may wobble in its bush, most', '0.06 mm', { max: 5 }),
  length('Distributor', 'topFloatMaxMm', 'Advance platform may lift, most', '0.15 mm', { max: 5 })
];
