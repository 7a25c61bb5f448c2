import { formatTiming } from '../../units/format.ts';
import { plusMinus } from '../../job/texts.ts';
import { settledOf } from '../../job/readings.ts';
import type { TimingState } from './works.ts';

/** The timing as it was found before anything was touched, and as it stands now: by one mark, whose error drops out. */
export interface BeforeAfter {
  beforeBtdc: number;
  nowBtdc: number;
  apartDeg: number;
  /** one standard uncertainty of the difference */
  uDeg: number;
  /** no further apart than the readings can err */
  same: boolean;
}

/** Null until the timing was read before and by the strobe after. */
export function againstBefore(state: TimingState): BeforeAfter | null {
  const before = settledOf(state.readings, 'base-before');
  const strobe = state.sheet.steps.findLast((s) => s.role === 'strobe');
  const now = strobe ? state.work.timing[strobe.id]?.latest : null;
  if (!before || !now) return null;
  const apartDeg = now.readBtdc - before.value;
  const uDeg = Math.hypot(before.u, now.uReading);
  return {
    beforeBtdc: before.value,
    nowBtdc: now.readBtdc,
    apartDeg,
    uDeg,
    same: Math.abs(apartDeg) <= 2 * uDeg + 1e-9
  };
}

/** The comparison as it stands on screen and card. */
export const beforeAfterText = (b: BeforeAfter): string =>
  b.same
    ? `as it was found: ${formatTiming(b.beforeBtdc, 1)}, ${Math.abs(b.apartDeg).toFixed(1)}° ${plusMinus(b.uDeg, 1)}° apart`
    : `${Math.abs(b.apartDeg).toFixed(1)}° ${plusMinus(b.uDeg, 1)}° ${b.apartDeg > 0 ? 'earlier' : 'later'} than it was found (${formatTiming(b.beforeBtdc, 1)})`;
