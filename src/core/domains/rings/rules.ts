import type { Rule } from '../../job/rule.ts';
import type { RingsVocabulary } from './vocabulary.ts';

export const rules: Rule<RingsVocabulary['flag']>[] = [
  {
    id: 'IL.03',
    on: ['drive-shaft-out'],
    off: ['rings-counted'],
    bar: 'Drive shaft out, rings not counted: do not turn the crank',
    never: 'Turn the crank before every thrust ring is counted.',
    because: 'A ring may lie in the gear.',
    ifItHappened: 'Stop, count, search with magnet and lamp; a ring that is not found means opening the case.',
    harm: 'machine',
    forbids: ['turns-crank', 'turns-back', 'cranks-by-power', 'lays-crank-in'],
    loses: ['crank-at-reference']
  }
];
