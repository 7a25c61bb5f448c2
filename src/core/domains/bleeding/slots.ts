import { slotsOf } from '../../job/vocabulary.ts';

export const slots = slotsOf({
  'screw-clear': {
    label: 'bleed screw that runs clear, in flow order',
    quantity: 'count',
    gauge: 'eye',
    repeats: true,
    combine: 'each'
  },
  'line-solid': {
    label: 'line that runs solid, by its cylinder',
    quantity: 'count',
    gauge: 'eye',
    repeats: true,
    combine: 'each'
  },
  'oil-pressure': { label: 'oil pressure', quantity: 'pressure', gauge: 'pressure', combine: 'last' },
  'idle-diesel': {
    label: 'idle by the meter',
    quantity: 'speed',
    gauge: 'tacho',
    repeats: true,
    combine: 'mean',
    limits: { least: 'idleMinRpm', most: 'idleMaxRpm' },
    figure: 'idle-diesel',
    required: true,
    acts: ['sets-idle']
  },
  leaks: { label: 'leaks found with paper', quantity: 'count', gauge: 'eye', combine: 'last', required: true }
});
