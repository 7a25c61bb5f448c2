import { choice, field, plain, quantity, senses, type Field } from '../../engine/fields.ts';

type More = Parameters<typeof quantity>[5];
const G = 'Injection pump';
const timing = <const N extends string>(name: N, label: string, example: string, more: More = {}): Field<N> =>
  quantity(G, 'timing', name, label, example, { min: -60, max: 80, ...more });
const angle = <const N extends string>(name: N, label: string, example: string, more: More = {}): Field<N> =>
  quantity(G, 'angle', name, label, example, { min: 0, max: 90, ...more });
const torque = <const N extends string>(name: N, label: string, example: string): Field<N> =>
  quantity(G, 'torque', name, label, example, { positive: true, max: 1000 });
const text = <const N extends string>(name: N, label: string, example: string, help: string): Field<N> =>
  field({ name, label, group: G, kind: 'text', example, help, onCard: true });

export const chartKinds = [
  { id: 'lift-at-tdc', label: 'lift standing with the crank at TDC' },
  { id: 'lift-to-closure', label: 'one lift, at which its port closes' }
];

/** Values of the data sheet. */
export const fields = [
  text('pumpCode', 'Code on the pump\u2019s plate', 'K 4-R 12', 'Every letter and digit, as it is stamped.'),
  text('pumpVariant', 'Plunger and cam variant', '9 mm, cam C', 'As the plate or the test plan has it.'),
  choice(
    G,
    'pumpDirection',
    'Pump runs, seen from its drive end',
    senses.map((s): [string, string] => [s.id, s.label])
  ),
  plain(G, 'pumpRatio', 'Pump turns for one of the crank', '0.5', { positive: true, min: 0.1, max: 4 }),
  timing('pumpBtdc', 'Pump timing wanted', '19 before', { onCard: true }),
  timing('pumpMinBtdc', 'Pump timing, latest that is good', '18.5 before'),
  timing('pumpMaxBtdc', 'Pump timing, earliest that is good', '19.5 before'),
  text(
    'chartCode',
    'Code beside its chart or its lift to port closure',
    'K 4-R 12',
    'Chart and lift serve the pump they were made for and no other.'
  ),
  field({
    name: 'chartKind',
    label: 'The maker gives',
    group: G,
    kind: 'choice',
    choices: chartKinds,
    example: chartKinds[0]!.label
  }),
  field({
    name: 'liftChart',
    label: 'Its points, timing and lift',
    group: G,
    kind: 'pairs',
    pairUnits: ['°', ' mm'],
    example: '14 1.62; 16 1.95; 18 2.31',
    help: 'Degrees before TDC, then mm of lift; points apart by semicolons or lines, or pasted from a table.'
  }),
  quantity(G, 'length', 'closureMm', 'Lift at which its port closes', '2.50 mm', {
    positive: true,
    max: 20,
    help: 'One figure of the pump, the same at every timing; it has no chart.'
  }),
  quantity(G, 'length', 'boltRadiusMm', 'Bolts lie on a circle of radius', '48 mm', { positive: true, max: 500 }),
  angle('slotAdvanceDeg', 'Slot left towards earlier, degrees of the gear', '2.5'),
  angle('slotRetardDeg', 'Slot left towards later, degrees of the gear', '3'),
  quantity(G, 'count', 'pumpGearTeeth', 'Teeth of the pump\u2019s gear', '46', { min: 6, max: 400 }),
  timing('lockBtdc', 'Pump is locked at', '9.4 before', { help: 'The setting on its tag, with all its decimals.' }),
  angle('lockWithinDeg', 'Lock holds that within \u00b1', '0.2', { positive: true, min: 0.001 }),
  timing('gearOffsetBtdc', 'Gear is pressed on with the crank at', '5.8 before'),
  angle('pinWithinDeg', 'Timing pin finds TDC within \u00b1', '0.3', { positive: true, min: 0.001 }),
  angle('proofWithinDeg', 'Proof may differ by \u00b1', '0.5', { positive: true, min: 0.001 }),
  torque('firstTorqueNm', 'Gear, first torque', '20 N\u00b7m'),
  torque('finalTorqueNm', 'Gear, final torque', '85 N\u00b7m'),
  torque('torqueWithinNm', 'Gear torques may differ by \u00b1', '4 N\u00b7m')
];
