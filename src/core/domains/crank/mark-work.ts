import { markCheck } from '../../calculations/mark/mark-check.ts';
import { lastMarkOf, type EarlierMark, type Engine } from '../../engine/engine.ts';
import { agedMark } from './earlier-mark.ts';
import type { TdcWork } from './tdc-work.ts';

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

/** The mark's error as the last job proved it (earlier-mark.ts); null where no job did. */
export function earlierMark(engine: Engine, at: string | null): MarkError | null {
  const mark = agedMark(engine, at);
  return mark && { ...mark, uWheelDeg: mark.uDeg, since: null };
}
