import type { Rule } from '../../job/rule.ts';
import type { CrankVocabulary } from './vocabulary.ts';

/** One sign was given and no second that is independent of it. */
const ONE_SIGN: Rule<CrankVocabulary['flag']> = {
  id: 'IL.11',
  worked: true,
  on: [],
  off: [],
  bar: 'One sign alone: the stroke is not proved',
  never: 'Take the stroke as proved by one sign alone.',
  because: 'Every single sign is wrong too often, and a distributor half a turn out follows from it.',
  first: 'a second sign that does not depend on the first',
  ifItHappened: 'Take the stroke as not proved, give a second sign, and check what was set by it.',
  harm: 'result',
  forbids: ['proves-stroke'],
  loses: ['compression-confirmed']
};

/** The crank was last moved backward and stands on the setting. */
const STEPPED_BACK: Rule<CrankVocabulary['flag']> = {
  id: 'IL.13',
  worked: true,
  on: [],
  off: [],
  bar: 'Stepped back onto the setting: do not use it',
  never: 'Step back a little onto a setting that was passed.',
  because: 'Chain, belt or gears are left slack on the running side.',
  first: 'crank turned back well beyond all slack, then forward onto the setting; or forward round to it again',
  ifItHappened: 'Turn back well beyond, come forward onto the setting, and take again what was taken there.',
  harm: 'result',
  forbids: ['reaches-reference', 'indexes'],
  loses: ['crank-at-reference', 'backlash-taken-up']
};

/** Turned back by less than an eighth of a turn onto the setting, on a drive whose slack nobody knows. */
const SHORT_TURN_BACK: Rule<CrankVocabulary['flag']> = {
  id: 'IL.95',
  worked: true,
  on: [],
  off: [],
  bar: 'Slack not known: a short turn back does not take it up',
  never: 'Rely on a turn back of less than an eighth of a turn while the slack of the drive is not known.',
  because: 'The slack may be larger than the turn, and goes into the setting.',
  first: 'crank turned back an eighth of a turn or more, then forward onto the setting; or the slack measured',
  ifItHappened: 'Go back further, or round, and come forward onto the setting again.',
  harm: 'result',
  forbids: ['reaches-reference', 'indexes'],
  loses: ['backlash-taken-up']
};

export const rules: Rule<CrankVocabulary['flag']>[] = [
  ONE_SIGN,
  SHORT_TURN_BACK,
  {
    id: 'IL.92',
    on: ['barring-tool-fitted'],
    off: [],
    where: [{ chosen: 'reversal', is: 'forbidden', field: 'reversal' }],
    bar: 'The maker forbids turning it back: forward only',
    never: 'Turn this engine backward.',
    because: 'Belt or chain jumps its tensioner, and vanes or couplings catch.',
    first: 'crank brought forward, round again',
    ifItHappened: 'Stop, look at tensioner and cam marks, then come round forward.',
    harm: 'machine',
    forbids: ['turns-back'],
    loses: ['backlash-taken-up']
  },
  STEPPED_BACK,
  {
    id: 'IL.17',
    on: ['probe-in'],
    off: [],
    bar: 'Probe in cylinder 1: no starter, no force',
    never: 'Use the starter, or force the bar, with the probe in the cylinder.',
    because: 'Piston or thread is broken.',
    ifItHappened: 'Stop, look inside, test for leaks.',
    harm: 'machine',
    forbids: ['cranks-by-power', 'starts'],
    loses: ['tdc-true', 'crank-at-reference', 'compression-confirmed', 'backlash-taken-up']
  },
  {
    id: 'IL.17s',
    on: ['piston-stop-in'],
    off: [],
    bar: 'Piston stop in: no starter, no force',
    never: 'Use the starter, or force the bar, with the stop in the cylinder.',
    because: 'Piston or thread is broken.',
    ifItHappened: 'Stop, look inside, test for leaks.',
    harm: 'machine',
    forbids: ['cranks-by-power', 'starts'],
    loses: ['tdc-true', 'crank-at-reference', 'compression-confirmed', 'backlash-taken-up']
  },
  {
    id: 'IL.19',
    on: ['degree-wheel-on'],
    off: [],
    bar: 'Wheel on the crank: no starter',
    never: 'Use the starter with the degree wheel on the crank.',
    because: 'Wheel and pointer are thrown.',
    ifItHappened: 'Isolate, inspect, zero everything again.',
    harm: 'person',
    forbids: ['cranks-by-power', 'starts'],
    loses: ['tdc-true', 'crank-at-reference', 'compression-confirmed', 'backlash-taken-up']
  },
  {
    id: 'IL.12',
    on: ['crank-at-reference'],
    off: ['backlash-taken-up'],
    bar: 'Slack not taken up: set nothing fine',
    never: 'Take or set a fine timing after the crank was last moved backward.',
    because: 'The slack of the drive goes straight into the figure.',
    first: 'crank turned well back and forward onto the setting again',
    ifItHappened: 'Turn well back, come forward onto the setting, take it again.',
    harm: 'result',
    forbids: ['indexes'],
    loses: ['housing-indexed']
  },
  {
    id: 'IL.74',
    on: [],
    off: ['damper-verified'],
    bar: 'Mark not judged: no final figure by it',
    never: 'Use the mark for a final figure before it was judged.',
    because: 'A slipped ring or a foreign pulley gives a false zero.',
    ifItHappened: 'Prove the mark, then correct what was read by its error.',
    harm: 'result',
    forbids: ['reads-initial'],
    loses: ['base-timing-set']
  },
  {
    id: 'IL.75',
    on: ['damper-changed'],
    off: [],
    bar: 'Damper or cover changed: the old zero is no zero',
    never: 'Trust a mark after its damper, pulley or cover was changed.',
    because: 'The zero belongs to the old pair.',
    ifItHappened: 'Prove the mark on the pair that is fitted, correct what was read by it.',
    harm: 'result',
    forbids: ['indexes', 'reads-initial'],
    loses: ['damper-verified', 'base-timing-set']
  }
];
