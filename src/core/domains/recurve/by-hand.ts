import { curveMatch, type Match } from '../../calculations/curve/curve-match.ts';
import type { MatchInput } from './recurve-work.ts';

/**
 * What the search would say of one pair and stop put in by hand; null where the stop lies beyond what was measured.
 * How many of a spring are left is not asked: that is the tray's answer when they are taken.
 */
export function matchOf(input: MatchInput, put: { springs: [string, string]; stop: string }): Match | null {
  const [one, two] = put.springs.map((id) => input.tray.springs.find((s) => s.id === id));
  const stop = input.tray.stops.find((s) => s.id === put.stop);
  if (!one || !two || !stop) return null;
  const springs =
    one === two
      ? [{ ...one, count: 2 }]
      : [
          { ...one, count: 1 },
          { ...two, count: 1 }
        ];
  const judged = curveMatch({ ...input, tray: { springs, stops: [stop] }, top: 1 });
  return judged.ok ? (judged.out.ranked[0] ?? null) : null;
}
