import type { TdcFromPairs } from '../crank/tdc-pairs.ts';
import { markCheck } from '../crank/mark-check.ts';

/** The mark's error: what it reads, before TDC, with the crank at true TDC. Positive: strobe readings are early. */
export interface MarkError {
  errorDeg: number;
  uDeg: number;
}

/** With the wheel zeroed on the mark, the mark reads the negative of what the wheel shows at true TDC. */
export function markError(found: TdcFromPairs | null): MarkError | null {
  if (!found) return null;
  const markBtdc = found.errorDeg === 0 ? 0 : -found.errorDeg;
  return { errorDeg: markCheck({ markBtdc, uDeg: found.uDeg }).errorDeg, uDeg: found.uDeg };
}
