import { slotsOf } from '../../job/vocabulary.ts';

/** How far the drive may move along its shaft, as the data sheet has it. */
const float = { least: 'floatMinMm', most: 'floatMaxMm', target: 'floatTargetMm' };

export const slots = slotsOf({
  washer: {
    label: 'washer, thickness',
    quantity: 'length',
    gauge: 'micrometer',
    required: true,
    repeats: true,
    combine: 'mean'
  },
  gap: {
    label: 'gap in one place, blades as 0.81 + 0.61',
    quantity: 'length',
    gauge: 'blade',
    required: true,
    repeats: true,
    // each place round the face stands for itself: it may be tilted
    combine: 'each'
  },
  packing: { label: 'packing together', quantity: 'length', gauge: 'micrometer', repeats: true, combine: 'mean' },
  offset: {
    label: 'gear\u2019s end up to where the tang drives (below the end: minus)',
    quantity: 'length',
    gauge: 'micrometer',
    signed: true,
    combine: 'mean'
  },
  'drive-depth': {
    label: 'mounting face down to the pump drive',
    quantity: 'length',
    gauge: 'depth',
    required: true,
    combine: 'mean'
  },
  length: { label: 'seat to the gear\u2019s end', quantity: 'length', gauge: 'depth', required: true, combine: 'mean' },
  'float-dial': {
    label: 'float, push and pull',
    quantity: 'length',
    gauge: 'dial',
    required: true,
    repeats: true,
    combine: 'mean',
    limits: float
  },
  'float-loose': { label: 'float, clamp loose', quantity: 'length', gauge: 'dial', required: true, combine: 'last' },
  'float-tight': { label: 'float, clamp tight', quantity: 'length', gauge: 'dial', required: true, combine: 'last' },
  'patch-low': {
    label: 'lower end of the contact, above the tooth\u2019s lower end',
    quantity: 'length',
    gauge: 'micrometer',
    required: true,
    repeats: true,
    combine: 'pair',
    pairsWith: 'patch-high'
  },
  'patch-high': {
    label: 'upper end of the contact',
    quantity: 'length',
    gauge: 'micrometer',
    required: true,
    repeats: true,
    combine: 'pair'
  }
});
