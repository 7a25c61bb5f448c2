import { markCheck } from '../../calculations/mark/mark-check.ts';
import { lastMarkOf, type EarlierMark, type Engine } from '../../engine/engine.ts';
import type { TdcWork } from './tdc-work.ts';

/** The mark's error: what it reads, before TDC, with the crank at true TDC. Positive: strobe readings are early. */
export interface MarkError {
  errorDeg: number;
  uDeg: number;
  /** against the last job that settled it; null without one */
  since: { earlier: EarlierMark; moved: boolean; movedByDeg: number } | null;
  /** not found on this job but taken from the last that proved it; nothing says that it has not moved since */
  from?: EarlierMark;
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
  const check = markCheck({ markBtdc, uDeg: tdc.found.uDeg, previous });
  return {
    errorDeg: check.errorDeg,
    uDeg: tdc.found.uDeg,
    since: earlier && { earlier, moved: check.moved, movedByDeg: check.movedByDeg }
  };
}

/** The mark's error for a job that never looks for TDC: as the last job proved it; null where none did. */
export function earlierMark(engine: Engine): MarkError | null {
  const last = lastMarkOf(engine);
  return last ? { errorDeg: last.errorDeg, uDeg: last.uDeg, since: null, from: last } : null;
}
