import type { Match, Violation } from '$core/curves/curve-match.ts';
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
  const figures = [
    `initial ${m.initialBtdc}° before`,
    `starts ${formatSpeed(m.startRpm)}`,
    `all in ${formatSpeed(m.fullRpm)}`,
    `total ${(m.initialBtdc + stopDeg).toFixed(1)}°`
  ].join(', ');
  return m.violations.length ? `${figures}; misses by ${m.misfitDeg.toFixed(1)}°` : figures;
}
