import { slotsOf } from '../../job/vocabulary.ts';

const bearing = (label: string, more: { required?: boolean } = {}) =>
  ({ label, quantity: 'bearing', gauge: 'eye', combine: 'last', ...more }) as const;

export const slots = slotsOf({
  'hours-place': { label: 'hours, in place', quantity: 'count', gauge: 'eye', combine: 'last' },
  'hours-split': { label: 'hours, case opened', quantity: 'count', gauge: 'eye', combine: 'last' },
  tower: bearing('tower of number one, bearing from above'),
  rotor: bearing('rotor at rest, bearing from above'),
  'rotor-mark': bearing('rotor to the fixed point, bearing from above', { required: true }),
  'rotor-now': bearing('rotor now, bearing from above', { required: true }),
  'housing-mark': bearing('housing\u2019s datum, bearing from above', { required: true }),
  'housing-now': bearing('housing\u2019s datum now, bearing from above'),
  'rotor-seen': bearing('rotor in the tooth it found'),
  'arc-min': bearing('housing\u2019s datum free from'),
  'arc-max': bearing('free to, clockwise'),
  tang: bearing('tang of the drive, bearing from above'),
  'pump-slot': bearing('slot of the pump, bearing from above'),
  'drive-slot': bearing('slot, narrow side, bearing from above'),
  travel: {
    label: 'travel in mesh, if the turn was not seen',
    quantity: 'length',
    gauge: 'depth',
    combine: 'mean'
  }
});
