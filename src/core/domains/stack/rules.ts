import type { Rule } from '../../job/rule.ts';
import type { StackVocabulary } from './vocabulary.ts';

/** Not a state that was said but a figure that was measured: washer and gaps leave the gear no float at all. */
const CLAMPED: Rule = {
  id: 'IL.float',
  worked: true,
  on: [],
  off: [],
  bar: 'Float below zero: the drive is clamped, turn nothing',
  never: 'Tighten the pedestal as it is, or turn the crank.',
  because: 'Washer and gaps leave the gear no room: pedestal and block would squeeze it.',
  first: 'pedestal slack, and packing that gives the gear its float',
  ifItHappened: 'Slacken the pedestal, look at gear faces and thrust faces, measure again.',
  harm: 'machine',
  forbids: ['tightens-pedestal', 'turns-crank', 'turns-back'],
  loses: ['float-verified']
};

export const rules: (Rule<StackVocabulary['flag']> | Rule)[] = [
  {
    id: 'IL.06',
    on: ['gauge-washer-in'],
    off: [],
    bar: 'Gauge washer in: measure only, no final fit, no starter',
    never: 'Fit the pedestal for good, or turn by the starter, with the washer in.',
    because: 'The washer takes the whole float and jams the mesh.',
    ifItHappened: 'Lift the pedestal, take the washer out, look at gear faces and pump tang.',
    harm: 'machine',
    forbids: ['tightens-pedestal', 'cranks-by-power', 'starts'],
    loses: ['float-verified', 'gasket-fitted']
  },
  {
    id: 'IL.36',
    on: ['gasket-changed'],
    off: [],
    bar: 'Another gasket: the depth is another one',
    never: 'Keep depth or bottoming as proved after the gasket was changed.',
    because: 'Its thickness sets how deep the drive stands.',
    first: 'depth and bottoming measured again with the gasket that goes in',
    ifItHappened: 'Measure engagement and bottoming again before the clamp is final.',
    harm: 'machine',
    forbids: ['clamps-final', 'starts'],
    loses: ['bottoming-ok', 'engagement-ok']
  },
  {
    id: 'IL.40',
    on: [],
    off: ['bottoming-ok'],
    bar: 'Bottoming not checked: do not clamp for good',
    never: 'Tighten the clamp for good before it is measured that nothing bottoms.',
    because: 'The distributor drives the pump\u2019s shaft down and lifts the gear.',
    ifItHappened: 'Loosen, inspect thrust faces, pump cover and gear.',
    harm: 'machine',
    forbids: ['clamps-final'],
    loses: ['clamp-final']
  },
  {
    id: 'IL.41',
    on: [],
    off: ['engagement-ok'],
    bar: 'Depth of the oil-pump drive not measured: do not start',
    never: 'Start before the depth of the oil-pump drive is measured.',
    because: 'The drive may slip out: no oil.',
    ifItHappened: 'Stop at once; no restart until it is measured.',
    harm: 'machine',
    forbids: ['starts'],
    loses: ['oil-primed']
  },
  CLAMPED
];
