import type { VerdictState } from '../calculations/verdict/verdict.ts';

/** How a length is written for the person who reads it. */
export type LengthText = (mm: number, decimals?: number) => string;

/** A length with its ± of two standard uncertainties, the unit once: `0.165 ± 0.025 mm`. */
export function lengthPm(len: LengthText, mm: number, u: number, decimals = 3): string {
  const [, figure, unit] = /^(.*\d)(\D*)$/.exec(len(mm, decimals))!;
  return `${figure} ± ${len(2 * u, decimals).replace(/\D*$/, '')}${unit}`;
}

/** Limits in the unit of whoever reads them, the unit once: `0.12 to 0.22 mm`. */
export function lengthLimits(len: LengthText, min: number | null, max: number | null, decimals = 2): string {
  if (min !== null && max !== null) return `${len(min, decimals).replace(/\D*$/, '')} to ${len(max, decimals)}`;
  if (min !== null) return `${len(min, decimals)} or more`;
  return max !== null ? `${len(max, decimals)} or less` : 'no limit on the data sheet';
}

/** Limits in a unit that is written after them, ` rpm` or `°`. */
export function limitsIn(sign: string, min: number | null, max: number | null): string {
  const bare = (x: number) => String(Number(x.toFixed(2)));
  if (min !== null && max !== null) return `${bare(min)} to ${bare(max)}${sign}`;
  if (min !== null) return `${bare(min)}${sign} or more`;
  return max !== null ? `${bare(max)}${sign} or less` : 'no limit on the data sheet';
}

/** A probability in words: never a hundred per cent. */
export const percent = (p: number): string =>
  p > 0.9995 ? 'over 99.9 %' : p < 0.0005 ? 'under 0.1 %' : `${(p * 100).toFixed(1)} %`;
export const degText = (d: number, decimals = 1): string => `${d.toFixed(decimals)}°`;
/** ± is two standard uncertainties, everywhere. */
export const plusMinus = (u: number, decimals = 2): string => `± ${(2 * u).toFixed(decimals)}`;
/** What every job defers to, on screen, card and paper. */
export const DEFERENCE =
  'This plan supports a competent technician. Local law and workplace rules, the current data of whoever made machine and parts, and the limits of licensed practice come first: where they differ from this plan, follow them.';
export const turnWord = (t: 'cw' | 'ccw'): string => (t === 'cw' ? 'clockwise' : 'anticlockwise');

export function list(words: string[]): string {
  if (words.length < 2) return words.join('');
  return `${words.slice(0, -1).join(', ')} and ${words[words.length - 1]}`;
}

/** So many of a thing: `1 pair`, `3 pairs`. */
export const several = (n: number, one: string): string => `${n} ${one}${n === 1 ? '' : 's'}`;
export const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);
export const lower = (s: string): string => s.charAt(0).toLowerCase() + s.slice(1);

export const VERDICT_WORD: Record<VerdictState, string> = { in: 'in', out: 'out', unsure: 'too close to call' };

/** A verdict never stands without the limits that gave it: `out, limits 16° to 18° before`. */
export const judgedBy = (state: VerdictState, limits: string): string => `${VERDICT_WORD[state]}, limits ${limits}`;

/** What a verdict leaves open; null when the figure is in, or not judged at all. */
export function verdictOpen(what: string, state: VerdictState | undefined): string | null {
  if (state === undefined || state === 'in') return null;
  return state === 'out' ? `${what} is outside the limits` : `${what} is too close to call`;
}
