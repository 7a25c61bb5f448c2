import { length } from '../../engine/fields.ts';

/** Values of the data sheet. */
export const fields = [
  length('Drive', 'shaftHeightMinMm', 'Drive shaft height, least', '31.8 mm'),
  length('Drive', 'shaftHeightMaxMm', 'Drive shaft height, most', '32.2 mm')
];
