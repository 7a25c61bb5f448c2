import { slotsOf } from '../../job/vocabulary.ts';

export const slots = slotsOf({
  depth: { label: 'dial, down from the top', quantity: 'length', gauge: 'dial', combine: 'last' },
  before: { label: 'wheel, before the top', quantity: 'angle', gauge: 'wheel', repeats: true, combine: 'pair' },
  after: { label: 'wheel, after the top', quantity: 'angle', gauge: 'wheel', repeats: true, combine: 'pair' },
  'top-dial': { label: 'dial, at its highest', quantity: 'length', gauge: 'dial' },
  top: {
    label: 'wheel, at the highest point',
    quantity: 'angle',
    gauge: 'wheel',
    repeats: true,
    combine: 'mean',
    sought: true
  },
  stands: {
    label: 'wheel, where the crank stands now',
    quantity: 'angle',
    gauge: 'wheel',
    repeats: true,
    also: ['back', 'unsure'],
    combine: 'each'
  },
  'drive-slack': {
    label: 'turned back until the follower just moves',
    quantity: 'angle',
    gauge: 'wheel',
    repeats: true,
    combine: 'each'
  },
  'turned-on': { label: 'crank turned forward until it dropped', quantity: 'angle', gauge: 'wheel', combine: 'last' }
});
