import { COUNT, slotsOf } from '../../job/vocabulary.ts';

export const slots = slotsOf({
  'rings-drawn': { ...COUNT, label: 'thrust rings, as drawn', required: true },
  'ring-count': {
    ...COUNT,
    label: 'thrust rings counted',
    required: true,
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
