import { slotsOf } from '../../job/vocabulary.ts';

const dial = { quantity: 'length', gauge: 'dial', repeats: true, combine: 'mean', required: true } as const;

export const slots = slotsOf({
  'float-bench': {
    ...dial,
    label: 'float at the gear, push and pull',
    limits: { least: 'floatMinMm', most: 'floatMaxMm' },
    figure: 'float-bench'
  },
  'top-float': {
    ...dial,
    label: 'lift of the advance platform',
    limits: { most: 'topFloatMaxMm' },
    figure: 'top-float'
  },
  'bush-play': {
    ...dial,
    label: 'wobble of the shaft, two directions',
    limits: { most: 'bushPlayMaxMm' },
    figure: 'bush-play'
  },
  'teeth-counted': {
    label: 'teeth, counted round twice',
    quantity: 'count',
    gauge: 'eye',
    combine: 'last',
    required: true
  }
});
