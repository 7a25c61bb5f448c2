import { slotsOf } from '../../job/vocabulary.ts';

export const slots = slotsOf({
  'fit-wheel': { label: 'wheel', quantity: 'angle', gauge: 'wheel', repeats: true, combine: 'pair' },
  'fit-dial': { label: 'dial at that place', quantity: 'length', gauge: 'dial', repeats: true, combine: 'pair' }
});
