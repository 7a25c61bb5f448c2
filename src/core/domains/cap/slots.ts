import { slotsOf } from '../../job/vocabulary.ts';

export const slots = slotsOf({
  wire: {
    label: 'next tower\u2019s lead goes to cylinder',
    quantity: 'count',
    gauge: 'eye',
    repeats: true,
    combine: 'each'
  },
  'lead-map': {
    label: 'next tower clockwise: its lead goes to cylinder',
    quantity: 'count',
    gauge: 'eye',
    repeats: true,
    combine: 'each',
    carries: 'lead-map'
  },
  'tip-offset': {
    label: 'tip past its terminal at rest, distributor degrees',
    quantity: 'angle',
    gauge: 'eye',
    combine: 'last'
  },
  'tip-width': { label: 'tip, width', quantity: 'length', gauge: 'micrometer', combine: 'last' },
  'terminal-width': { label: 'terminal, width', quantity: 'length', gauge: 'micrometer', combine: 'last' },
  'tip-radius': { label: 'tip, radius', quantity: 'length', gauge: 'micrometer', combine: 'last' },
  'tip-gap': { label: 'tip to terminal, radial', quantity: 'length', gauge: 'micrometer', combine: 'last' }
});
