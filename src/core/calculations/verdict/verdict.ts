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
 * Limits are compared to 1e-9. pInSpec = Φ((max-v)/u) - Φ((min-v)/u); 1 or 0 when u is 0.
 */
export function verdict(v: number, u: number, min: number | null, max: number | null): Verdict {
  const lo = v - 2 * u;
  const hi = v + 2 * u;
  const inside = (min === null || lo >= min - EPS) && (max === null || hi <= max + EPS);
  const outside = (min !== null && hi < min - EPS) || (max !== null && lo > max + EPS);
  return { state: inside ? 'in' : outside ? 'out' : 'unsure', pInSpec: pInSpec(v, u, min, max) };
}

function pInSpec(v: number, u: number, min: number | null, max: number | null): number {
  if (u === 0) return (min === null || v >= min - EPS) && (max === null || v <= max + EPS) ? 1 : 0;
  const above = max === null ? 1 : phi((max - v) / u);
  const below = min === null ? 0 : phi((min - v) / u);
  return Math.min(1, Math.max(0, above - below));
}
