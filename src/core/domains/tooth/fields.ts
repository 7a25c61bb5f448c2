import { bearing, choice } from '../../engine/fields.ts';

/** Values of the data sheet. */
export const fields = [
  choice('Drive', 'pumpDrive', 'Oil-pump drive', [
    ['blade', 'plain blade: fits two ways'],
    ['offset-blade', 'offset blade: fits one way'],
    ['hexagon', 'hexagon: fits six ways']
  ]),
  bearing(
    'Drive',
    'driveSlotBearingDeg',
    'Bearing of the drive slot, crank at the reference',
    'Its narrow side, from above, clockwise from the front of the engine.'
  ),
  bearing(
    'Cap and rotor',
    'terminalOffsetDeg',
    'Number one\u2019s terminal, from the housing\u2019s datum',
    'Clockwise from above; the datum is the vacuum capsule, a lug or a line scribed on the rim.'
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
  ])
];
