import type { Match, Violation } from '$core/calculations/curve/curve-match.ts';
import type { SwappedCurve } from '$core/calculations/curve/curve-swap-springs.ts';
import { formatSpeed } from '$core/units/format.ts';

const VIOLATES: Record<Violation, string> = {
  total: 'total above its limit',
  creep: 'creeps at idle',
  unstable: 'snaps out'
};

/** What speaks for or against a pair and stop in a word: what they violate, or how far they miss the target. */
export const fitOf = (m: Match): string =>
  m.violations.length ? m.violations.map((v) => VIOLATES[v]).join(', ') : `misses by ${m.misfitDeg.toFixed(1)}°`;

/** Initial setting, start, full advance and total; and the miss, where something worse is said first. */
export function figuresOf(m: Match, stopDeg: number): string {
  const figures = line(`${m.initialBtdc}`, m.startRpm, m.fullRpm, m.initialBtdc + stopDeg);
  return m.violations.length ? `${figures}; misses by ${m.misfitDeg.toFixed(1)}°` : figures;
}

/** The same for a stop beyond what was measured, which the search leaves out: the curve is carried on, and not judged. */
export const carriedOn = (c: Pick<SwappedCurve, 'startRpm' | 'fullRpm' | 'fullDeg'>, initialBtdc: number): string =>
  line(initialBtdc.toFixed(1), c.startRpm, c.fullRpm, initialBtdc + c.fullDeg);

const line = (initial: string, start: number, full: number, total: number): string =>
  [
    `initial ${initial}° before`,
    `starts ${formatSpeed(start)}`,
    `all in ${formatSpeed(full)}`,
    `total ${total.toFixed(1)}°`
  ].join(', ');
