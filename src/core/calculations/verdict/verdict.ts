import { EPS } from '../../numerics/angles.ts';
import { phi } from '../../numerics/normal.ts';

export type VerdictState = 'in' | 'out' | 'unsure';
export interface Verdict {
  state: VerdictState;
  pInSpec: number;
}

/**
 * Judges a figure with standard uncertainty u against limits, either of which may be null (open).
 * `in` when the ±2u interval lies inside, `out` when it lies outside, else `unsure`: measure again.
 * Where the hand's scatter is not known u is the gauge's alone and too small by nobody knows how much: such a figure is never
 * `in`, and `out` only from three u beyond a limit. Limits are compared to 1e-9. pInSpec = Φ((max-v)/u) - Φ((min-v)/u); 1 or 0 when u is 0.
 */
export function verdict(
  v: number,
  u: number,
  min: number | null,
  max: number | null,
  scatterUnknown: boolean | undefined = false
): Verdict {
  if (scatterUnknown) {
    const beyond = (min !== null && v + 3 * u < min - EPS) || (max !== null && v - 3 * u > max + EPS);
    return { state: beyond ? 'out' : 'unsure', pInSpec: pInSpec(v, u, min, max) };
  }
  const lo = v - 2 * u;
  const hi = v + 2 * u;
  const inside = (min === null || lo >= min - EPS) && (max === null || hi <= max + EPS);
  const outside = (min !== null && hi < min - EPS) || (max !== null && lo > max + EPS);
  return { state: inside ? 'in' : outside ? 'out' : 'unsure', pInSpec: pInSpec(v, u, min, max) };
}

/** The verdict on a figure, or null where it has no limits: nothing is in limits that nobody gave. */
export const verdictOrNone = (
  v: number,
  u: number,
  min: number | null,
  max: number | null,
  scatterUnknown: boolean | undefined = false
): Verdict | null => (min === null && max === null ? null : verdict(v, u, min, max, scatterUnknown));

function pInSpec(v: number, u: number, min: number | null, max: number | null): number {
  if (u === 0) return (min === null || v >= min - EPS) && (max === null || v <= max + EPS) ? 1 : 0;
  const above = max === null ? 1 : phi((max - v) / u);
  const below = min === null ? 0 : phi((min - v) / u);
  return Math.min(1, Math.max(0, above - below));
}
