import { slotsOf } from '../../job/vocabulary.ts';

export const slots = slotsOf({
  'small-parts-out': {
    label: 'small parts laid out',
    quantity: 'count',
    gauge: 'eye',
    required: true,
    combine: 'last'
  },
  'small-parts-back': {
    label: 'small parts back in place',
    quantity: 'count',
    gauge: 'eye',
    required: true,
    combine: 'last',
    countsBack: {
      slot: 'small-parts-out',
      hard: true,
      missing: 'never turn the engine until it is found; magnet and lamp in the case and round the bore'
    }
  }
});
