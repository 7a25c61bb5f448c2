import { slotsOf } from '../../job/vocabulary.ts';

export const slots = slotsOf({
  'small-parts-out': {
    label: 'small parts, laid out',
    quantity: 'count',
    gauge: 'eye',
    required: true,
    combine: 'last'
  },
  'small-parts-back': {
    label: 'small parts, on or in again',
    quantity: 'count',
    gauge: 'eye',
    required: true,
    combine: 'last',
    countsBack: {
      slot: 'small-parts-out',
      missing: 'never turn the engine until it is found; magnet and lamp in the case and round the bore'
    }
  }
});
