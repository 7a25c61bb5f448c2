import type { Engine } from '../../engine/engine.ts';
import type { Open } from '../../job/domain.ts';
import { oneReading } from '../../job/readings.ts';
import type { Reading, Replayed } from '../../job/replayed.ts';
import { degText, plusMinus } from '../../job/texts.ts';
import { numberOf, readingsOf } from './vocabulary.ts';

/** The slack of the timing drive, at the crank. */
export interface DriveSlack {
  /** what a turn back must go beyond, degrees of the crank; null where nobody knows it */
  deg: number | null;
  from: 'measured' | 'data' | 'unknown';
  /** the larger of two readings or more with a gauge, its standard uncertainty, and how far the readings lie apart, degrees */
  read: { deg: number; uDeg: number; apartDeg: number } | null;
  reads: readonly Reading[];
}

/**
 * As it was measured on this engine, twice or more, the larger taken with what the wheel cannot tell; else as the data sheet has
 * it, unless it is said to be unknown; else unknown, and a rule of thumb takes its place in the plan.
 */
export function driveSlack(engine: Engine, r: Pick<Replayed, 'readings' | 'chosen'>): DriveSlack {
  const reads = readingsOf(r.readings, 'drive-slack');
  const read = larger(reads);
  const way = r.chosen.get('slack');
  if (read && (way === undefined || way === 'measured'))
    return { deg: read.deg + 2 * read.uDeg, from: 'measured', read, reads };
  const data = numberOf(engine, 'backlashDeg');
  return data === undefined || way === 'unknown'
    ? { deg: null, from: 'unknown', read, reads }
    : { deg: data, from: 'data', read, reads };
}

function larger(reads: readonly Reading[]): DriveSlack['read'] {
  if (reads.length < 2 || reads.some((x) => x.gauge === null || x.value < 0)) return null;
  const values = reads.map((x) => x.value);
  const deg = Math.max(...values);
  return { deg, uDeg: Math.max(...reads.map((x) => oneReading(x).u)), apartDeg: deg - Math.min(...values) };
}

/** Above the wear limit of the data sheet for sure, the limit; null where it is not, or where there is none. */
function wornAbove(read: NonNullable<DriveSlack['read']>, engine: Engine): number | null {
  const most = numberOf(engine, 'driveSlackMaxDeg');
  return most !== undefined && read.deg - 2 * read.uDeg > most ? most : null;
}

/** The figure that was measured, and what the data sheet says of it. */
export function slackHeadline({ read, reads }: DriveSlack, engine: Engine): string | null {
  if (reads.length === 0) return null;
  if (!read) return 'Once more: forward until it moves, then back until it just begins to';
  const most = wornAbove(read, engine);
  const against = most === null ? '' : `, above its wear limit of ${degText(most)}`;
  return `Slack ${degText(read.deg)} ${plusMinus(read.uDeg)}°, the larger of ${reads.length}${against}`;
}

export function slackOpen({ read, reads }: DriveSlack, engine: Engine): Open | null {
  const open = (what: string, short: Open['short']): Open => ({ what, short, of: ['slack-known'] });
  if (reads.length === 0) return open('the slack was not measured', 'nothing');
  if (reads.some((x) => x.gauge === null)) return open('the slack was read with no gauge named', 'no-gauge');
  if (reads.some((x) => x.value < 0))
    return open('a slack below zero: type how far it was turned back, without a sign', 'undecided');
  if (!read) return open('one reading is no repeat: measure the slack once more', 'undecided');
  if (read.apartDeg > 2 * Math.SQRT2 * read.uDeg + 1e-9)
    return open(
      `the readings lie ${degText(read.apartDeg)} apart, do not tell the slack: measure it again`,
      'undecided'
    );
  return wornAbove(read, engine) === null
    ? null
    : open('the slack is above its wear limit: look at chain, belt or gears', 'out');
}
