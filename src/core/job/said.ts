import type { VerdictState } from '../calculations/verdict/verdict.ts';
import type { StepView } from './state.ts';

/** Small words that the domains share. */
export const VERDICT_WORD: Record<VerdictState, string> = { in: 'in', out: 'out', unsure: 'too close to call' };

export const asks = (v: StepView, slot: string): boolean => v.step.slots.some((s) => s.slot === slot);
export const turnWord = (t: 'cw' | 'ccw'): string => (t === 'cw' ? 'clockwise' : 'anticlockwise');
export const lower = (s: string): string => s.charAt(0).toLowerCase() + s.slice(1);

/** What a verdict leaves open; null when the figure is in, or not judged at all. */
export function verdictOpen(what: string, state: VerdictState | undefined): string | null {
  if (state === undefined || state === 'in') return null;
  return state === 'out' ? `${what} is outside the limits` : `${what} is too close to call`;
}
