import { slotsOf } from '../../job/vocabulary.ts';

export const slots = slotsOf({
  'new-teeth': { label: 'new gear, teeth', quantity: 'count', gauge: 'eye', combine: 'last' },
  'new-module': { label: 'new gear, module or DP', quantity: 'pitch', gauge: 'eye', combine: 'last' },
  'new-bore': { label: 'new gear, bore', quantity: 'length', gauge: 'micrometer', combine: 'last' },
  'new-outside': { label: 'new gear, outside diameter', quantity: 'length', gauge: 'micrometer', combine: 'last' },
  'gear-turned': { label: 'shaft turned in the gear, clockwise', quantity: 'angle', gauge: 'eye', combine: 'last' },
  dimension: {
    label: 'mounting face to lower gear face',
    quantity: 'length',
    gauge: 'depth',
    repeats: true,
    combine: 'mean',
    limits: { least: 'installedMinMm', most: 'installedMaxMm' },
    figure: 'dimension'
  }
});
