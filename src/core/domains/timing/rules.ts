import type { Rule } from '../../job/rules.ts';
import type { TimingVocabulary } from './vocabulary.ts';

/** Raised only where it matters which of two TDCs fires: not on a two-stroke, not where nothing is indexed. */
export const STROKE_NOT_PROVED: Rule<TimingVocabulary['flag']> = {
  id: 'IL.10',
  on: ['mark-judged'],
  off: ['compression-confirmed', 'housing-indexed'],
  bar: 'Both TDCs carry the mark: stroke not proved',
  never: 'Index or fit to number one.',
  because: 'The mark comes up on compression and on exhaust; a distributor fitted on the wrong one is half a turn out.',
  ifItHappened: 'Lift the rotor, turn the crank once, prove the stroke, index again.',
  harm: 'result'
};
