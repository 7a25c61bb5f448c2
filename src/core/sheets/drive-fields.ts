import type { Field } from './data-sheet.ts';

type Group = Field['group'];
const length = (group: Group, name: string, label: string, example: string, more: Partial<Field> = {}): Field => ({
  name,
  label,
  group,
  kind: 'quantity',
  quantity: 'length',
  positive: true,
  max: 2000,
  example,
  ...more
});
const bearing = (group: Group, name: string, label: string, help: string): Field => ({
  name,
  label,
  group,
  kind: 'quantity',
  quantity: 'bearing',
  example: '145 or 4:50',
  help
});
const choice = (group: Group, name: string, label: string, choices: [string, string][], help?: string): Field => ({
  name,
  label,
  group,
  kind: 'choice',
  choices: choices.map(([id, l]) => ({ id, label: l })),
  example: choices[0]![1],
  ...(help === undefined ? {} : { help })
});

const metals: [string, string][] = [
  ['steel', 'steel'],
  ['cast-iron', 'cast iron'],
  ['aluminium', 'aluminium'],
  ['bronze', 'bronze'],
  ['magnesium', 'magnesium']
];
export const hands: [string, string][] = [
  ['right', 'right-hand'],
  ['left', 'left-hand']
];
export const gearMaterials: [string, string][] = [
  ['cast-iron', 'cast iron'],
  ['nitrided-iron', 'nitrided iron'],
  ['hardened-steel', 'hardened steel'],
  ['bronze', 'bronze'],
  ['polymer', 'polymer']
];

/** Values of the drive: end float, depth, mesh, gears, where things must point. */
export const driveFields: Field[] = [
  choice(
    'Drive',
    'driveKind',
    'Drive',
    [
      ['pedestal', 'separate shaft under a pedestal'],
      ['own-gear', 'gear on the distributor\u2019s own shaft'],
      ['open-case', 'separate shaft on thrust rings']
    ],
    'It decides what a packing, a gasket or a shim moves.'
  ),
  length('Drive', 'floatMinMm', 'End float, least', '0.12 mm'),
  length('Drive', 'floatMaxMm', 'End float, most', '0.22 mm'),
  length('Drive', 'floatTargetMm', 'End float, wanted', '0.17 mm', { help: 'Left out: the middle of the limits.' }),
  choice('Drive', 'pumpDrive', 'Oil-pump drive', [
    ['blade', 'plain blade: fits two ways'],
    ['offset-blade', 'offset blade: fits one way'],
    ['hexagon', 'hexagon: fits six ways']
  ]),
  length('Drive', 'pumpSlotDepthMm', 'Depth of the oil-pump drive\u2019s slot', '9 mm'),
  length('Drive', 'minEngagementMm', 'Oil-pump drive engaged, least', '5.5 mm'),
  length('Drive', 'minClearanceMm', 'Left before it bottoms, least', '0.5 mm', { positive: false, min: 0 }),
  length('Drive', 'gasketMm', 'Gasket, compressed', '0.8 mm', { positive: false, min: 0 }),
  length('Drive', 'installedMinMm', 'Mounting face to lower gear face, least', '98.4 mm'),
  length('Drive', 'installedMaxMm', 'Mounting face to lower gear face, most', '98.8 mm'),
  length('Drive', 'shaftHeightMinMm', 'Drive shaft height, least', '31.8 mm'),
  length('Drive', 'shaftHeightMaxMm', 'Drive shaft height, most', '32.2 mm'),
  bearing(
    'Drive',
    'driveSlotBearingDeg',
    'Bearing of the drive slot, crank at the reference',
    'Its narrow side, from above, clockwise from the front of the engine.'
  ),
  length('Drive', 'floatLengthMm', 'Length that warms, between the thrust faces', '62 mm'),
  choice('Drive', 'housingMetal', 'Housing or pedestal is of', metals),
  choice('Drive', 'shaftMetal', 'Drive shaft is of', metals),
  {
    name: 'hotC',
    label: 'Oil temperature at work',
    group: 'Drive',
    kind: 'quantity',
    quantity: 'temperature',
    min: -40,
    max: 200,
    example: '85 C'
  },
  choice('Gears', 'gearHand', 'Drive gear, hand', hands),
  length('Gears', 'gearModuleMm', 'Drive gear, module or diametral pitch', '2.5 module, or 10 DP', {
    quantity: 'pitch',
    max: 50
  }),
  length('Gears', 'gearPitchMm', 'Drive gear, pitch diameter', '31 mm'),
  length('Gears', 'gearBoreMm', 'Drive gear, bore', '14 mm'),
  length('Gears', 'gearOutsideMm', 'Drive gear, outside diameter', '36 mm'),
  length('Gears', 'gearFaceMm', 'Drive gear, width of its teeth', '22 mm'),
  {
    name: 'helixDeg',
    label: 'Drive gear, helix angle from its axis',
    group: 'Gears',
    kind: 'quantity',
    quantity: 'angle',
    positive: true,
    max: 89,
    example: '41'
  },
  length('Gears', 'backlashMm', 'Backlash of the mesh', '0.08 mm', { positive: false, min: 0 }),
  choice('Gears', 'gearMaterial', 'Drive gear is of', gearMaterials),
  choice('Gears', 'camMaterial', 'Camshaft gear is of', [
    ['cast-iron', 'cast iron'],
    ['steel', 'steel'],
    ['steel-iron-gear', 'steel shaft with an iron gear']
  ]),
  bearing(
    'Cap and rotor',
    'terminalOffsetDeg',
    'Number one\u2019s terminal, from the housing\u2019s datum',
    'Clockwise from above; the datum is the vacuum unit, a lug or a line scribed on the rim.'
  ),
  bearing(
    'Cap and rotor',
    'housingBearingDeg',
    'Housing\u2019s datum points best',
    'Where hoses, latch and harness want it.'
  ),
  choice('Cap and rotor', 'numberOneTower', 'Number one on the cap', [
    ['factory', 'fixed: printed, or harness made for it'],
    ['any', 'free: leads made to suit']
  ]),
  length('Cap and rotor', 'tipRadiusMm', 'Rotor tip, radius', '33 mm'),
  length('Cap and rotor', 'tipWidthMm', 'Rotor tip, width', '8 mm'),
  length('Cap and rotor', 'terminalWidthMm', 'Terminal, width', '4 mm'),
  length('Cap and rotor', 'tipGapMm', 'Rotor tip to terminal, radial gap', '0.8 mm'),
  {
    name: 'triggerShiftDeg',
    label: 'Trigger moves against the housing, most',
    group: 'Cap and rotor',
    kind: 'quantity',
    quantity: 'angle',
    min: 0,
    max: 60,
    example: '10',
    help: 'Distributor degrees: the vacuum unit\u2019s travel; all of the advance where a control unit times the spark; 0 with neither.'
  }
];
