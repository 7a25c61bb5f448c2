import type { z } from 'zod';
import type { markCheckInput } from './schemas.ts';

/**
 * The timing mark's error and whether it has moved since an earlier job.
 * markBtdc is what the mark reads (degrees before TDC) with the crank at true TDC; positive: every strobe reading is
 * that much too advanced. Moved when the change exceeds 2√(u²+u'²): the damper's ring may have slipped.
 * @example markCheck({ markBtdc: 2.5, uDeg: 0.3, previous: { errorDeg: -1, uDeg: 0.4 } }).moved  // true, by 3.5
 */
export function markCheck({ markBtdc, uDeg, previous }: z.infer<typeof markCheckInput>) {
  if (!previous) return { errorDeg: markBtdc, moved: false, movedByDeg: 0 };
  const movedByDeg = markBtdc - previous.errorDeg;
  return { errorDeg: markBtdc, moved: Math.abs(movedByDeg) > 2 * Math.hypot(uDeg, previous.uDeg) + 1e-9, movedByDeg };
}
