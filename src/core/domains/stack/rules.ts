import type { Rule } from '../../job/rules.ts';
import type { StackVocabulary } from './vocabulary.ts';

export const rules: Rule<StackVocabulary['flag']>[] = [
  {
    id: 'IL.06',
    on: ['gauge-washer-in'],
    off: [],
    bar: 'Gauging washer in: no pedestal, no starter',
    never: 'Fit the pedestal for good, or turn by the starter.',
    because: 'The washer takes the whole float and jams the mesh.',
    ifItHappened: 'Lift the pedestal, take the washer out, look at gear faces and pump tang.',
    harm: 'machine'
  }
];

/** Not a state that was said but a figure that was measured: washer and gaps leave the gear no float at all. */
export const CLAMPED: Rule = {
  id: 'IL.float',
  on: [],
  off: [],
  bar: 'Float below zero: the drive is clamped, turn nothing',
  never: 'Tighten the pedestal as it is, or turn the crank.',
  because: 'Washer and gaps leave the gear no room: pedestal and block would squeeze it.',
  ifItHappened: 'Slacken the pedestal, look at gear faces and thrust faces, measure again.',
  harm: 'machine'
};
