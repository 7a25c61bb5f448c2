import { quantity, type Field } from '../../engine/fields.ts';

type More = Parameters<typeof quantity>[5];
const G = 'Flywheel';
const timing = <const N extends string>(name: N, label: string, example: string, more: More = {}): Field<N> =>
  quantity(G, 'timing', name, label, example, { min: -30, max: 60, ...more });

/** Values of the data sheet. */
export const fields = [
  timing('fullAdvanceBtdc', 'Full advance, at full throttle', '22 before', { onCard: true }),
  timing('fullAdvanceMinBtdc', 'Full advance, latest that is good', '21 before'),
  timing('fullAdvanceMaxBtdc', 'Full advance, earliest that is good', '23 before'),
  quantity(G, 'length', 'flywheelDiameterMm', 'Flywheel, across where the marks are', '286 mm', {
    positive: true,
    max: 3000
  }),
  quantity(G, 'angle', 'markWithinDeg', 'A cylinder\u2019s mark may lie off by \u00b1', '1', {
    positive: true,
    min: 0.01,
    max: 20
  }),
  timing('idleTimingMinBtdc', 'Idle timing, latest that is good', '2 before'),
  timing('idleTimingMaxBtdc', 'Idle timing, earliest that is good', '6 before')
];
