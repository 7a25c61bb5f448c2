import { slotsOf } from '../../job/vocabulary.ts';

export const slots = slotsOf({
  'given-out': { label: 'tools given out', quantity: 'count', gauge: 'eye', combine: 'last' },
  'counted-back': {
    label: 'tools counted back',
    quantity: 'count',
    gauge: 'eye',
    combine: 'last',
    countsBack: { slot: 'given-out', hard: true, missing: 'find what is missing before anything turns' }
  }
});

/** Everything that was given out for a job, counted back at one step. */
export const allBack = [slots['given-out'], slots['counted-back']];
