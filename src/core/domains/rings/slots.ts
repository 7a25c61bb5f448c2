import { slotsOf } from '../../job/vocabulary.ts';

export const slots = slotsOf({
  'ring-count': { label: 'thrust rings', quantity: 'count', gauge: 'eye', required: true, combine: 'last' },
  ring: { label: 'a ring, thickness', quantity: 'length', gauge: 'micrometer', repeats: true, combine: 'each' },
  'shaft-bare': { label: 'shaft height with no ring', quantity: 'length', gauge: 'depth', combine: 'mean' },
  'shaft-height': {
    label: 'shaft height on its rings',
    quantity: 'length',
    gauge: 'depth',
    combine: 'mean',
    limits: { least: 'shaftHeightMinMm', most: 'shaftHeightMaxMm' }
  }
});
