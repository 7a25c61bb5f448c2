import type { Rule } from '../../job/rules.ts';
import type { CrankVocabulary } from './vocabulary.ts';

export const rules: Rule<CrankVocabulary['flag']>[] = [
  {
    id: 'IL.17',
    on: ['probe-in'],
    off: [],
    bar: 'Probe in cylinder 1: no starter, no force',
    never: 'Use the starter, or force the bar.',
    because: 'Piston or thread is broken.',
    ifItHappened: 'Stop, look inside, test for leaks.',
    harm: 'machine'
  },
  {
    id: 'IL.17s',
    on: ['piston-stop-in'],
    off: [],
    bar: 'Piston stop in: no starter, no force',
    never: 'Use the starter, or force the bar.',
    because: 'Piston or thread is broken.',
    ifItHappened: 'Stop, look inside, test for leaks.',
    harm: 'machine'
  },
  {
    id: 'IL.19',
    on: ['degree-wheel-on'],
    off: [],
    bar: 'Wheel on the crank: no starter',
    never: 'Use the starter.',
    because: 'Wheel and pointer are thrown.',
    ifItHappened: 'Isolate, inspect, zero everything again.',
    harm: 'person'
  }
];
