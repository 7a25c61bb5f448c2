import { COUNT, slotsOf } from '../../job/vocabulary.ts';

export const slots = slotsOf({
  'small-parts-out': { ...COUNT, label: 'small parts laid out', required: true },
  'small-parts-back': {
    ...COUNT,
    label: 'small parts back in place',
    required: true,
    countsBack: {
      slot: 'small-parts-out',
      hard: true,
      missing: 'never turn the engine until it is found; magnet and lamp in the case and round the bore'
    }
  }
});
