import { slotsOf } from '../../job/vocabulary.ts';

export const slots = slotsOf({
  'taken-back': {
    label: 'taken back for knock, crank degrees',
    quantity: 'angle',
    gauge: 'eye',
    repeats: true,
    combine: 'each'
  },
  'knock-margin': { label: 'taken back further, for safety', quantity: 'angle', gauge: 'eye', combine: 'last' }
});
