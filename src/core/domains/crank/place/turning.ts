import { cycleDegOf, numberOf as anyNumberOf, type Engine } from '../../../engine/engine.ts';
import type { Replayed } from '../../../job/replayed.ts';
import { driveSlack } from '../slack.ts';
import { choiceOf } from '../vocabulary.ts';
import type { Turning } from './turns.ts';

/** How the crank may be turned on this job. */
export const turningOf = (
  engine: Engine,
  r: Pick<Replayed, 'chosen' | 'readings'>,
  approach: Turning['approach']
): Turning => ({
  cycleDeg: cycleDegOf(engine),
  approach,
  backlashDeg: driveSlack(engine, r).deg,
  mayReverse: mayReverse(engine, r)
});

/** Whether the crank may be turned back: not where the data sheet forbids it, nor with the bar on the nose bolt. */
export const mayReverse = (engine: Engine, r: Pick<Replayed, 'chosen'>): boolean =>
  choiceOf(engine, 'reversal') !== 'forbidden' && (r.chosen.get('bar-on') ?? r.chosen.get('turning')) !== 'nose';

/** How closely the timing pin holds the crank, as a standard uncertainty, degrees; null where the data sheet does not say. */
export function pinU(engine: Engine): number | null {
  const within = anyNumberOf(engine, 'pinWithinDeg');
  return within === undefined ? null : within / 2;
}
