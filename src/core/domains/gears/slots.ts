import { slotsOf } from '../../job/vocabulary.ts';

/** One length of the body that was in, and of the one that goes in. */
const pair = <const N extends string>(name: N, label: string, gauge: 'depth' | 'micrometer' = 'depth') => {
  const read = { quantity: 'length', gauge, repeats: true, combine: 'mean' } as const;
  return {
    [`old-${name}`]: { ...read, label: `old: ${label}` },
    [`new-${name}`]: { ...read, label: `new: ${label}` }
  } as Record<`old-${N}` | `new-${N}`, typeof read & { label: string }>;
};

export const slots = slotsOf({
  'new-teeth': { label: 'new gear, teeth', quantity: 'count', gauge: 'eye', combine: 'last' },
  'new-module': { label: 'new gear, module or DP', quantity: 'pitch', gauge: 'eye', combine: 'last' },
  'new-bore': { label: 'new gear, bore', quantity: 'length', gauge: 'micrometer', combine: 'last' },
  'new-outside': { label: 'new gear, outside diameter', quantity: 'length', gauge: 'micrometer', combine: 'last' },
  ...pair('shank', 'shank, diameter', 'micrometer'),
  ...pair('seat', 'seat to lower gear face'),
  ...pair('tang', 'seat to the end of the tang'),
  ...pair('height', 'height above the seat'),
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
