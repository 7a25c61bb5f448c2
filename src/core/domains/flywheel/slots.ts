import { slotsOf } from '../../job/vocabulary.ts';

export const slots = slotsOf({
  'mark-of': {
    label: 'cylinder',
    quantity: 'count',
    gauge: 'eye',
    repeats: true,
    combine: 'pair',
    pairsWith: 'mark-at'
  },
  'mark-at': { label: 'wheel, where its mark lies', quantity: 'angle', gauge: 'wheel', repeats: true, combine: 'pair' },
  'strobe-on': {
    label: 'strobe on the lead of cylinder',
    quantity: 'count',
    gauge: 'eye',
    repeats: true,
    combine: 'pair',
    pairsWith: 'number-seen'
  },
  'number-seen': {
    label: 'number that stands at the pointer',
    quantity: 'count',
    gauge: 'eye',
    repeats: true,
    combine: 'pair'
  },
  'stop-turns': {
    label: 'stop screw stands at',
    quantity: 'turns',
    gauge: 'eye',
    repeats: true,
    combine: 'pair',
    pairsWith: 'stop-spark',
    signed: true
  },
  'stop-spark': {
    label: 'full advance by strobe',
    quantity: 'timing',
    gauge: 'strobe',
    repeats: true,
    combine: 'pair'
  },
  'stop-again': {
    label: 'full advance, lock nut tight',
    quantity: 'timing',
    gauge: 'strobe',
    repeats: true,
    combine: 'mean',
    of: 'stop-screw',
    onMark: true,
    limits: { least: 'fullAdvanceMinBtdc', most: 'fullAdvanceMaxBtdc', target: 'fullAdvanceBtdc' },
    figure: 'full-advance',
    required: true
  },
  'idle-timing': {
    label: 'idle timing by strobe',
    quantity: 'timing',
    gauge: 'strobe',
    repeats: true,
    combine: 'mean',
    of: 'link-rod',
    onMark: true,
    limits: { least: 'idleTimingMinBtdc', most: 'idleTimingMaxBtdc' },
    figure: 'idle-timing',
    required: true
  },
  'idle-two': {
    label: 'idle by the meter',
    quantity: 'speed',
    gauge: 'tacho',
    repeats: true,
    combine: 'mean',
    of: 'idle-screw',
    limits: { least: 'idleMinRpm', most: 'idleMaxRpm' },
    figure: 'idle-two',
    required: true
  }
});
