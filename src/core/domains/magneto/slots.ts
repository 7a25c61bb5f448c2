import { slotsOf } from '../../job/vocabulary.ts';

export const slots = slotsOf({
  'drive-stands': {
    label: 'drive coupling stands, from its drive end',
    quantity: 'bearing',
    gauge: 'eye',
    combine: 'last',
    required: true
  },
  snap: {
    label: 'snap heard with the mark at',
    quantity: 'timing',
    gauge: 'wheel',
    repeats: true,
    combine: 'mean',
    sought: true,
    required: true
  },
  'snap-after': {
    label: 'snap heard, flange tightened',
    quantity: 'timing',
    gauge: 'wheel',
    repeats: true,
    combine: 'mean',
    sought: true
  },
  'flange-torque': { label: 'flange, torque', quantity: 'torque', gauge: 'torque', combine: 'last' },
  'run-rpm': {
    label: 'engine speed at that reading',
    quantity: 'speed',
    gauge: 'tacho',
    combine: 'last',
    required: true
  },
  'run-spark': {
    label: 'running spark by strobe',
    quantity: 'timing',
    gauge: 'strobe',
    repeats: true,
    combine: 'mean',
    required: true
  }
});
