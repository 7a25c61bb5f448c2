import { choice, plain, quantity, senses, type Field } from '../../engine/fields.ts';

type More = Parameters<typeof quantity>[5];
const G = 'Magneto';
const timing = <const N extends string>(name: N, label: string, example: string, more: More = {}): Field<N> =>
  quantity(G, 'timing', name, label, example, { min: -90, max: 90, ...more });

/** Values of the data sheet. */
export const fields = [
  choice(
    G,
    'magnetoDirection',
    'Magneto runs, seen from its drive end',
    senses.map((s): [string, string] => [s.id, s.label])
  ),
  plain(G, 'magnetoRatio', 'Magneto turns for one of the crank', '0.5', { positive: true, min: 0.1, max: 4 }),
  quantity(G, 'angle', 'lagDeg', 'Impulse coupling lags, degrees of the magneto', '15', { min: 0, max: 360 }),
  timing('magnetoRefBtdc', 'Mark of the impulse spark on the flywheel', '6 after', { onCard: true }),
  timing('snapMinBtdc', 'Snap may be heard, latest', '8 after'),
  timing('snapMaxBtdc', 'Snap may be heard, earliest', '4 after'),
  timing('runBtdc', 'Running spark wanted', '24 before', { onCard: true }),
  timing('runMinBtdc', 'Running spark, latest that is good', '22 before'),
  timing('runMaxBtdc', 'Running spark, earliest that is good', '26 before'),
  quantity(G, 'speed', 'rideOutRpm', 'Coupling rides out above, engine speed', '280 rpm', {
    positive: true,
    max: 5000
  }),
  quantity(G, 'bearing', 'couplingBearing', 'Drive coupling stands, at the mark', '90 or 3:00', {
    help: 'Seen from the drive end, clockwise from upright.'
  }),
  quantity(G, 'count', 'magnetoGearTeeth', 'Teeth of the magneto\u2019s drive gear', '27', { min: 6, max: 400 }),
  quantity(G, 'torque', 'magnetoTorqueNm', 'Magneto flange, torque', '16 N\u00b7m', { positive: true, max: 500 })
];
