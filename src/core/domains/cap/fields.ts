import { field, length } from '../../engine/fields.ts';

/** Values of the data sheet. */
export const fields = [
  length('Cap and rotor', 'tipRadiusMm', 'Rotor tip, radius', '33 mm'),
  length('Cap and rotor', 'tipWidthMm', 'Rotor tip, width', '8 mm'),
  length('Cap and rotor', 'terminalWidthMm', 'Terminal, width', '4 mm'),
  length('Cap and rotor', 'tipGapMm', 'Rotor tip to terminal, radial gap', '0.8 mm'),
  field({
    name: 'triggerShiftDeg',
    label: 'Trigger moves against the housing, most',
    group: 'Cap and rotor',
    kind: 'quantity',
    quantity: 'angle',
    min: 0,
    max: 60,
    example: '10',
    help: 'Distributor degrees: the vacuum capsule\u2019s travel; all of the advance where a control unit times the spark; 0 with neither.'
  })
];
