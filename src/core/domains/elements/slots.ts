import { slotsOf } from '../../job/vocabulary.ts';

export const slots = slotsOf({
  'closure-lift': {
    label: 'lift to port closure, element one',
    quantity: 'length',
    gauge: 'dial',
    repeats: true,
    combine: 'mean',
    limits: { least: 'closureMinMm', most: 'closureMaxMm' },
    figure: 'closure-lift'
  },
  element: {
    label: 'closure, pump degrees, in firing order',
    quantity: 'angle',
    gauge: 'wheel',
    repeats: true,
    combine: 'each',
    sought: true
  },
  'head-gap': {
    label: 'clearance above the plunger, the least of all',
    quantity: 'length',
    gauge: 'dial',
    combine: 'last',
    limits: { least: 'headGapMinMm' },
    figure: 'head-gap',
    required: true
  }
});
