import { chances } from './chances.ts';
import type { Case, Trial } from './trial.ts';

/** What many measurements of one case came to, figure by figure. */
export interface Judged {
  of: Case;
  figure: string;
  trials: number;
  /** share of the intervals stated that held the truth, per cent; null where none was stated */
  held: number | null;
  /** share of the answers that stated one, per cent */
  stated: number;
  /** median half-width */
  half: number | null;
  heldBefore: number | null;
}

/** An interval that is honest holds the truth in so many of a hundred measurements. */
export const HONEST = { least: 93, most: 98 };

const share = (hits: readonly boolean[]): number | null =>
  hits.length === 0 ? null : (100 * hits.filter(Boolean).length) / hits.length;
export const median = (xs: readonly number[]): number | null =>
  xs.length === 0 ? null : [...xs].sort((a, b) => a - b)[Math.floor(xs.length / 2)]!;

/** A number from a text, so that each case has chances of its own whatever stands before it. */
function seedOf(text: string, seed: number): number {
  let h = seed;
  for (const c of text) h = (Math.imul(h, 31) + c.charCodeAt(0)) >>> 0;
  return h;
}

/** Measures a case so many times and counts. The same seed gives the same counts. */
export function judge(of: Case, trials: number, seed: number): Judged[] {
  const c = chances(seedOf(`${of.group} ${of.name}`, seed));
  const all = new Map<string, Trial[]>();
  for (let k = 0; k < trials; k++)
    for (const [figure, t] of Object.entries(of.measure(c))) {
      const list = all.get(figure);
      if (list) list.push(t);
      else all.set(figure, [t]);
    }
  return [...all].map(([figure, list]) => {
    const stating = list.filter((t): t is Trial & { half: number } => t.half !== null);
    const before = list.filter((t): t is Trial & { before: number } => t.before !== undefined);
    return {
      of,
      figure,
      trials: list.length,
      held: share(stating.map((t) => Math.abs(t.error) <= t.half + 1e-12)),
      stated: (100 * stating.length) / list.length,
      half: median(stating.map((t) => t.half)),
      heldBefore: share(before.map((t) => Math.abs(t.errorBefore ?? t.error) <= t.before + 1e-12))
    };
  });
}
