import type { Limits } from '../../job/run-sheet.ts';
import { slotsOf } from '../../job/vocabulary.ts';

const snapLimits = { least: 'snapMinBtdc', most: 'snapMaxBtdc', target: 'magnetoRefBtdc' } satisfies Limits;

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
    // an ear tells the snap to less than half a degree: a rule of thumb
    seekU: 0.4,
    of: 'flange',
    onMark: true,
    limits: snapLimits,
    required: true
  },
  'snap-after': {
    label: 'snap heard, flange tightened',
    quantity: 'timing',
    gauge: 'wheel',
    repeats: true,
    combine: 'mean',
    sought: true,
    seekU: 0.4,
    of: 'flange-screws',
    onMark: true,
    limits: snapLimits
  },
  'flange-torque': {
    label: 'flange, torque',
    quantity: 'torque',
    gauge: 'torque',
    combine: 'last',
    of: 'flange-screws'
  },
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
    of: 'flange-screws',
    onMark: true,
    limits: { least: 'runMinBtdc', most: 'runMaxBtdc', target: 'runBtdc' },
    required: true
  }
});
