import type { Rule } from '../../job/rules.ts';
import type { GearsVocabulary } from './vocabulary.ts';

export const rules: Rule<GearsVocabulary['flag']>[] = [
  {
    id: 'IL.38',
    on: ['gear-off'],
    off: ['gear-index-logged'],
    bar: 'Gear off, rotor against teeth not logged',
    never: 'Pin the gear.',
    because: 'Half a turn of the gear moves rotor against teeth when their count is odd.',
    ifItHappened: 'Rebuild the relation from the old gear before pinning.',
    harm: 'result'
  }
];
