import { slotsOf } from '../../job/vocabulary.ts';

const dial = { quantity: 'length', gauge: 'dial', repeats: true, combine: 'mean' } as const;

export const slots = slotsOf({
  'float-bench': {
    ...dial,
    required: true,
    label: 'float at the gear, push and pull',
    limits: { least: 'floatMinMm', most: 'floatMaxMm' },
    carries: 'float-bench',
    figure: 'float-bench'
  },
  'float-in-place': {
    ...dial,
    label: 'shaft pulled up and pushed down, dial on its end',
    limits: { least: 'floatMinMm', most: 'floatMaxMm' },
    figure: 'float-in-place'
  },
  'rotor-swing': {
    label: 'rotor, free to and fro with the crank held',
    quantity: 'angle',
    gauge: 'wheel',
    repeats: true,
    combine: 'mean',
    limits: { most: 'rotorSwingMaxDeg' },
    figure: 'rotor-swing'
  },
  'top-float': {
    ...dial,
    required: true,
    label: 'lift of the advance platform',
    limits: { most: 'topFloatMaxMm' },
    carries: 'top-float',
    figure: 'top-float'
  },
  'bush-play': {
    ...dial,
    required: true,
    label: 'wobble of the shaft, two directions',
    limits: { most: 'bushPlayMaxMm' },
    carries: 'bush-play',
    figure: 'bush-play'
  },
  'shaft-runout': {
    ...dial,
    label: 'run-out of the shaft, turned once round',
    limits: { most: 'shaftRunoutMaxMm' },
    carries: 'shaft-runout',
    figure: 'shaft-runout'
  },
  'lobe-gap': {
    label: 'gap at a lobe, one after another',
    quantity: 'length',
    gauge: 'blade',
    repeats: true,
    combine: 'worst',
    limits: { least: 'contactGapMinMm', most: 'contactGapMaxMm' },
    carries: 'lobe-gap',
    figure: 'lobe-gap'
  },
  'teeth-counted': {
    label: 'teeth, counted round twice',
    quantity: 'count',
    gauge: 'eye',
    combine: 'last',
    carries: 'teeth-counted',
    required: true
  },
  'outside-found': {
    label: 'outside diameter over the teeth',
    quantity: 'length',
    gauge: 'micrometer',
    repeats: true,
    combine: 'mean',
    carries: 'outside-found'
  }
});
