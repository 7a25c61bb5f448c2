import type { Rule } from '../../job/rule.ts';
import type { FlywheelVocabulary } from './vocabulary.ts';

export const rules: Rule<FlywheelVocabulary['flag']>[] = [
  {
    id: 'IL.67',
    on: ['throttle-at-stop'],
    off: ['fuel-disabled'],
    bar: 'Throttle wide open, fuel on: do not crank',
    never: 'Crank with the throttle held open while fuel can reach the engine.',
    because: 'It starts at full speed.',
    first: 'fuel shut, or the throttle released',
    ifItHappened: 'Stop switch, fuel off, see to people.',
    harm: 'person',
    forbids: ['cranks-by-power', 'starts'],
    loses: ['full-advance-set']
  },
  {
    id: 'IL.68',
    on: [],
    off: ['marks-complete'],
    bar: 'Not every cylinder marked: set no stop',
    never: 'Set the full-advance stop by one cylinder\u2019s mark alone.',
    because: 'A cylinder or a trigger lead may be swapped.',
    ifItHappened: 'Mark the rest, and check each by strobe.',
    harm: 'machine',
    forbids: ['sets-stop'],
    loses: ['full-advance-set']
  },
  {
    id: 'IL.69',
    on: [],
    off: ['arm-on-stop'],
    bar: 'Timing arm not on its stop: set no screw',
    never: 'Set the full-advance screw before the timing arm is proved on its stop.',
    because: 'The linkage stretches, and in use it goes on to more advance.',
    first: 'lever fully open from where it is operated, arm seen on its stop',
    ifItHappened: 'Repeat it from the operator\u2019s lever.',
    harm: 'machine',
    forbids: ['sets-stop'],
    loses: ['full-advance-set']
  },
  {
    id: 'IL.70',
    on: [],
    off: ['water-on'],
    where: [{ fact: 'waterCooled', is: true }],
    bar: 'No cooling water: do not run it',
    never: 'Run the engine without its cooling water.',
    because: 'Water pump and heads suffer within seconds.',
    ifItHappened: 'Stop, let it cool by itself, look at pump and heads.',
    harm: 'machine',
    forbids: ['starts', 'runs-on'],
    loses: []
  },
  {
    id: 'IL.71f',
    on: [],
    off: ['full-advance-set'],
    bar: 'Full advance not set: leave the idle alone',
    never: 'Set idle or pick-up before the full advance is set.',
    because: 'The idle screw hides a wrong timing.',
    ifItHappened: 'Bring the idle back to where it was, set the full advance, then the idle.',
    harm: 'result',
    forbids: ['sets-idle'],
    loses: []
  }
];
