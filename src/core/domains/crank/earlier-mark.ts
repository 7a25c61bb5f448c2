import { lastMarkOf, type EarlierMark, type Engine } from '../../engine/engine.ts';
import { choiceOf } from './vocabulary.ts';

/** Rule of thumb: how far a ring on rubber may creep in a month, as a standard uncertainty; it grows with the root of the time. */
export const CREEP_DEG_A_MONTH = 0.25;
/** Rule of thumb where nobody knows how long ago it was proved. */
export const CREEP_UNKNOWN_DEG = 2;
const MONTH_DAYS = 30;

/** An earlier job's error of the mark, with what may have moved it since. */
export interface AgedMark {
  errorDeg: number;
  uDeg: number;
  from: EarlierMark;
  /** the days since, where they are known, and the standard uncertainty they add */
  aged: { days: number | null; uDeg: number };
}

/**
 * The mark's error as the last job proved it, with what may have moved it since in its doubt; null where no job did. A hub in
 * one piece does not creep; a ring on rubber may, and so may one of which nobody has said what it is.
 * @param at when the job in hand stands, ISO; null while nothing is in its log
 */
export function agedMark(engine: Engine, at: string | null): AgedMark | null {
  const last = lastMarkOf(engine);
  if (!last) return null;
  const aged = agedBy(last, choiceOf(engine, 'damperRing') === 'solid', at);
  return { errorDeg: last.errorDeg, uDeg: Math.hypot(last.uDeg, aged.uDeg), from: last, aged };
}

function agedBy(last: EarlierMark, solid: boolean, at: string | null): { days: number | null; uDeg: number } {
  const days = at === null ? NaN : (Date.parse(at) - Date.parse(last.at)) / 86_400_000;
  if (!(days >= 0)) return { days: null, uDeg: solid ? 0 : CREEP_UNKNOWN_DEG };
  return { days, uDeg: solid ? 0 : CREEP_DEG_A_MONTH * Math.sqrt(days / MONTH_DAYS) };
}
