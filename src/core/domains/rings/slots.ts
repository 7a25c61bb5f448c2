import { slotsOf } from '../../job/vocabulary.ts';

export const slots = slotsOf({
  'rings-drawn': { label: 'thrust rings, as drawn', quantity: 'count', gauge: 'eye', required: true, combine: 'last' },
  'ring-count': {
    label: 'thrust rings counted',
    quantity: 'count',
    gauge: 'eye',
    required: true,
    combine: 'last',
    countsBack: { slot: 'rings-drawn', hard: true, missing: 'what is not here lies in the case; magnet and lamp' }
  },
  ring: {
    label: 'a ring, thickness',
    quantity: 'length',
    gauge: 'micrometer',
    repeats: true,
    combine: 'each',
    eachOf: 'ring-count'
  },
  'shaft-bare': { label: 'shaft height with no ring', quantity: 'length', gauge: 'depth', combine: 'mean' },
  'shaft-height': {
    label: 'shaft height on its rings',
    quantity: 'length',
    gauge: 'depth',
    combine: 'mean',
    limits: { least: 'shaftHeightMinMm', most: 'shaftHeightMaxMm' }
  }
});
