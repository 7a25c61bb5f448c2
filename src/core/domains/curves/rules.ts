import type { Rule } from '../../job/rule.ts';
import type { CurvesVocabulary } from './vocabulary.ts';

/** A total that was measured above its limit. */
const TOTAL_ABOVE: Rule = {
  id: 'IL.33',
  worked: true,
  on: [],
  off: [],
  bar: 'Total above its limit: no load',
  never: 'Load the engine while the total lies above its limit.',
  because: 'It detonates.',
  first: 'total measured inside its limit',
  ifItHappened: 'Reduce it; look inside and test for leaks before it is run again.',
  harm: 'machine',
  forbids: ['loads'],
  loses: ['curve-verified']
};

export const rules: (Rule<CurvesVocabulary['flag']> | Rule)[] = [
  {
    id: 'IL.30',
    on: [],
    off: ['advance-free'],
    where: [{ chosen: 'advance-is', is: 'weights', field: 'advanceKind' }],
    bar: 'Weights not tried: no setting, no springs',
    never: 'Set the initial timing, choose springs or judge its pull before the weights move and return.',
    because: 'Stuck weights falsify each of them.',
    ifItHappened: 'Free and oil the weights, then do it again.',
    harm: 'result',
    forbids: ['reads-initial', 'chooses-springs', 'loads'],
    loses: ['base-timing-set']
  },
  {
    id: 'IL.85',
    on: [],
    off: ['advance-parts-counted'],
    bar: 'No tray, no count: do not open the advance',
    never:
      'Work on springs, bush or stop nut without a tray and a count, or turn the stop nut beyond its light torque.',
    because: 'The stud breaks, or a spacer is lost and the advance is another one.',
    ifItHappened: 'Count the parts, replace the plate if the stud is strained, try the weights again.',
    harm: 'machine',
    forbids: ['opens-advance'],
    loses: ['advance-free']
  },
  {
    id: 'IL.32',
    on: [],
    off: ['retard-for-start'],
    where: [{ chosen: 'advance-is', is: 'locked', field: 'advanceKind' }],
    bar: 'Advance locked: no start without retard',
    never: 'Start an engine whose advance is locked without a retard for starting.',
    because: 'It kicks: the starter or a hand breaks.',
    ifItHappened: 'Stop cranking, see to people, look at the starter\u2019s nose.',
    harm: 'person',
    forbids: ['cranks-by-power', 'starts'],
    loses: []
  },
  TOTAL_ABOVE
];
