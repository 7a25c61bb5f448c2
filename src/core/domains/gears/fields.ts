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
  length('Distributor', 'shankWithinMm', 'Another distributor\u2019s shank may differ by \u00b1', '0.03 mm', {
    max: 5
  }),
  length('Distributor', 'seatWithinMm', 'Its seat to lower gear face may differ by \u00b1', '0.3 mm', { max: 20 }),
  length('Distributor', 'tangWithinMm', 'Its seat to the end of the tang may differ by \u00b1', '0.5 mm', { max: 20 }),
  length('Distributor', 'heightWithinMm', 'Its height above the seat may differ by \u00b1', '5 mm', { max: 200 }),
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
