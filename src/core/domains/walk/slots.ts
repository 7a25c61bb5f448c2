import { slotsOf } from '../../job/vocabulary.ts';

export const slots = slotsOf({
  'given-out': { label: 'tools and loose parts, given out', quantity: 'count', gauge: 'eye', combine: 'last' },
  'counted-back': { label: 'tools and loose parts, counted back', quantity: 'count', gauge: 'eye', combine: 'last' }
});
