import { field, length, choice } from '../../engine/fields.ts';

const metals: [string, string][] = [
  ['steel', 'steel'],
  ['cast-iron', 'cast iron'],
  ['aluminium', 'aluminium'],
  ['bronze', 'bronze'],
  ['magnesium', 'magnesium']
];

/** Values of the data sheet. */
export const fields = [
  choice(
    'Drive',
    'driveKind',
    'Drive',
    [
      ['pedestal', 'separate shaft under a pedestal'],
      ['own-gear', 'gear on the distributor\u2019s own shaft'],
      ['open-case', 'separate shaft on thrust rings']
    ],
    { help: 'It decides what a packing, a gasket or a shim moves.' }
  ),
  length('Drive', 'floatMinMm', 'End float, least', '0.12 mm'),
  length('Drive', 'floatMaxMm', 'End float, most', '0.22 mm'),
  length('Drive', 'floatTargetMm', 'End float, wanted', '0.17 mm', { help: 'Left out: the middle of the limits.' }),
  length('Drive', 'pumpSlotDepthMm', 'Depth of the oil-pump drive\u2019s slot', '9 mm'),
  length('Drive', 'minEngagementMm', 'Oil-pump drive engaged, least', '5.5 mm'),
  length('Drive', 'minClearanceMm', 'Left before it bottoms, least', '0.5 mm', { positive: false, min: 0 }),
  length('Drive', 'floatLengthMm', 'Length that warms, between the thrust faces', '62 mm'),
  choice('Drive', 'housingMetal', 'Housing or pedestal is of', metals),
  choice('Drive', 'shaftMetal', 'Drive shaft is of', metals),
  field({
    name: 'hotC',
    label: 'Oil temperature at work',
    group: 'Drive',
    kind: 'quantity',
    quantity: 'temperature',
    min: -40,
    max: 200,
    example: '85 C'
  }),
  length('Gears', 'gearFaceMm', 'Drive gear, width of its teeth', '22 mm'),
  length('Gears', 'backlashMm', 'Backlash of the mesh', '0.08 mm', { positive: false, min: 0 })
];
