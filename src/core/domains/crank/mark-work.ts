import { markCheck } from '../../calculations/mark/mark-check.ts';
import { lastMarkOf, type EarlierMark, type Engine } from '../../engine/engine.ts';
import type { TdcWork } from './tdc-work.ts';
import { choiceOf } from './vocabulary.ts';

/** The mark's error: what it reads, before TDC, with the crank at true TDC. Positive: strobe readings are early. */
export interface MarkError {
  errorDeg: number;
  /** of a reading on the mark: where true TDC lies, and the wheel set to zero on the mark */
  uDeg: number;
  /** of a reading on the wheel itself, in which its zero does not matter */
  uWheelDeg: number;
  /** against the last job that settled it; null without one */
  since: { earlier: EarlierMark; moved: boolean; movedByDeg: number } | null;
  /** not found on this job but taken from the last that proved it */
  from?: EarlierMark;
  /** what may have moved it since then: the days, where they are known, and the standard uncertainty they add */
  aged?: { days: number | null; uDeg: number };
}

/** Rule of thumb: how far a ring on rubber may creep in a month, as a standard uncertainty; it grows with the root of the time. */
export const CREEP_DEG_A_MONTH = 0.25;
/** Rule of thumb where nobody knows how long ago it was proved. */
export const CREEP_UNKNOWN_DEG = 2;
const MONTH_DAYS = 30;

/**
 * With the wheel zeroed on the mark, the mark reads the negative of what the wheel shows at true TDC. Checked against
 * the last job: a change beyond both uncertainties means that the damper's ring may have slipped.
 */
export function markError(tdc: TdcWork, engine: Engine): MarkError | null {
  if (!tdc.found) return null;
  const markBtdc = tdc.found.errorDeg === 0 ? 0 : -tdc.found.errorDeg;
  // a mark that was taken on trust from the earlier job cannot be checked against it
  const earlier = tdc.method === 'mark' ? null : lastMarkOf(engine);
  const previous = earlier ? { errorDeg: earlier.errorDeg, uDeg: earlier.uDeg } : undefined;
  const uDeg = Math.hypot(tdc.found.uDeg, tdc.uZeroDeg);
  const check = markCheck({ markBtdc, uDeg, previous });
  return {
    errorDeg: check.errorDeg,
    uDeg,
    uWheelDeg: tdc.found.uDeg,
    since: earlier && { earlier, moved: check.moved, movedByDeg: check.movedByDeg }
  };
}

/**
 * The mark's error as the last job proved it, with what may have moved it since in its doubt; null where no job did. A hub in
 * one piece does not creep; a ring on rubber may, and so may one of which nobody has said what it is.
 * @param at when the job in hand stands, ISO; null while nothing is in its log
 */
export function earlierMark(engine: Engine, at: string | null): MarkError | null {
  const last = lastMarkOf(engine);
  if (!last) return null;
  const aged = agedBy(last, choiceOf(engine, 'damperRing') === 'solid', at);
  const uDeg = Math.hypot(last.uDeg, aged.uDeg);
  return { errorDeg: last.errorDeg, uDeg, uWheelDeg: uDeg, since: null, from: last, aged };
}

function agedBy(last: EarlierMark, solid: boolean, at: string | null): { days: number | null; uDeg: number } {
  const days = at === null ? NaN : (Date.parse(at) - Date.parse(last.at)) / 86_400_000;
  if (!(days >= 0)) return { days: null, uDeg: solid ? 0 : CREEP_UNKNOWN_DEG };
  return { days, uDeg: solid ? 0 : CREEP_DEG_A_MONTH * Math.sqrt(days / MONTH_DAYS) };
}
