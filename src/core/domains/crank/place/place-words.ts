import { degText, turnWord } from '../../../job/texts.ts';
import { turnSeenFrom, type Turn } from '../../../calculations/crank/crank-plan.ts';
import type { CrankPlace, PlaceFrom, Travel } from './place.ts';

const BECAUSE: Record<PlaceFrom, string> = {
  '': '',
  wheel: 'read on the wheel',
  end: 'read at the end of the turn that was asked for',
  leg: 'read on the way, where an earlier leg ends',
  still: 'read where it stood before',
  rise: 'read on the rise that the signs spoke of',
  rocking: 'read as one of a pair',
  said: 'as was said of the last turn',
  count: 'turned on by a count',
  pin: 'the timing pin holds it',
  reference: 'said to be at the reference, not read',
  told: 'as turned on the dial'
};

/** Why the crank is believed to stand where it does, after its place: `read at the end of the turn that was asked for`. */
export const becauseText = (place: CrankPlace): string => BECAUSE[place.from];

/** The question that a reading leaves open. */
export const TURNS_QUESTION =
  'This figure stands twice in a cycle, and it does not lie where the plan ends. How was the crank turned before it was read?';

/** A way the crank may have gone: `turned clockwise 120°, less than once round`. */
export function wayText(way: Travel, runs: Turn, view: 'front' | 'rear'): string {
  const turn = turnWord(turnSeenFrom(view, runs, way.travelDeg < 0 ? 'backward' : 'forward'));
  const much = Math.abs(way.travelDeg);
  if (much < 0.05) return 'not turned at all';
  const round = much >= 360 ? ', once round and on' : ', less than once round';
  return `turned ${turn} ${degText(much, 0)}${round}`;
}
