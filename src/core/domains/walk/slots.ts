import { COUNT, slotsOf } from '../../job/vocabulary.ts';

export const slots = slotsOf({
  'given-out': { ...COUNT, label: 'tools given out' },
  'counted-back': {
    ...COUNT,
    label: 'tools counted back',
    countsBack: { slot: 'given-out', hard: true, missing: 'find what is missing before anything turns' }
  }
});

/** Everything that was given out for a job, counted back at one step. */
export const allBack = [slots['given-out'], slots['counted-back']];
