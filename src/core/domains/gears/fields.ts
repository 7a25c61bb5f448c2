import { length, choice } from '../../engine/fields.ts';

export const gearMaterials: [string, string][] = [
  ['cast-iron', 'cast iron'],
  ['nitrided-iron', 'nitrided iron'],
  ['hardened-steel', 'hardened steel'],
  ['bronze', 'bronze'],
  ['polymer', 'polymer']
];

/** Values of the data sheet. */
export const fields = [
  length('Drive', 'installedMinMm', 'Mounting face to lower gear face, least', '98.4 mm'),
  length('Drive', 'installedMaxMm', 'Mounting face to lower gear face, most', '98.8 mm'),
  length('Gears', 'gearModuleMm', 'Drive gear, module or diametral pitch', '2.5 module, or 10 DP', {
    quantity: 'pitch',
    max: 50
  }),
  length('Gears', 'gearBoreMm', 'Drive gear, bore', '14 mm'),
  length('Gears', 'gearOutsideMm', 'Drive gear, outside diameter', '36 mm'),
  choice('Gears', 'gearMaterial', 'Drive gear is of', gearMaterials),
  choice('Gears', 'camMaterial', 'Camshaft gear is of', [
    ['cast-iron', 'cast iron'],
    ['steel', 'steel'],
    ['steel-iron-gear', 'steel shaft with an iron gear']
  ])
];
