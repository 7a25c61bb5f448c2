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
  /** standard uncertainty of the measured figure; null where it was not measured */
  uDeg: number | null;
  reads: readonly Reading[];
}

/**
 * As it was measured on this engine, twice or more, the larger taken with what the wheel cannot tell; else as the data sheet has
 * it; else unknown, and a rule of thumb takes its place in the plan.
 */
export function driveSlack(engine: Engine, r: Pick<Replayed, 'readings'>): DriveSlack {
  const reads = readingsOf(r.readings, 'drive-slack');
  if (reads.length >= 2) {
    const uDeg = Math.max(...reads.map((x) => oneReading(x).u));
    return { deg: Math.max(...reads.map((x) => x.value)) + 2 * uDeg, from: 'measured', uDeg, reads };
  }
  const data = numberOf(engine, 'backlashDeg');
  return data === undefined
    ? { deg: null, from: 'unknown', uDeg: null, reads }
    : { deg: data, from: 'data', uDeg: null, reads };
}

/** The figure that was measured, and what the data sheet says of it. */
export function slackHeadline(s: DriveSlack, engine: Engine): string | null {
  if (s.reads.length === 0) return null;
  if (s.from !== 'measured') return 'Once more: forward until it moves, then back until it just begins to';
  const most = Math.max(...s.reads.map((x) => x.value));
  const worn = numberOf(engine, 'driveSlackMaxDeg');
  const against =
    worn === undefined ? '' : most - 2 * s.uDeg! > worn ? `, above its wear limit of ${degText(worn)}` : '';
  return `Slack ${degText(most)} ${plusMinus(s.uDeg!)}°, the larger of ${s.reads.length}${against}`;
}

export function slackOpen(s: DriveSlack, engine: Engine): Open | null {
  const open = (what: string, short: Open['short']): Open => ({ what, short, of: ['slack-known'] });
  if (s.reads.length === 0) return open('the slack was not measured', 'nothing');
  if (s.from !== 'measured') return open('one reading is no repeat: measure the slack once more', 'undecided');
  const values = s.reads.map((x) => x.value);
  const apart = Math.max(...values) - Math.min(...values);
  if (apart > 2 * Math.SQRT2 * s.uDeg! + 1e-9)
    return open(`the readings lie ${degText(apart)} apart, do not tell the slack: measure it again`, 'undecided');
  const worn = numberOf(engine, 'driveSlackMaxDeg');
  return worn !== undefined && Math.max(...values) - 2 * s.uDeg! > worn
    ? open('the slack is above its wear limit: look at chain, belt or gears', 'out')
    : null;
}
