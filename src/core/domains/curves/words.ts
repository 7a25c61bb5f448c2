import type { Open, StepView } from '../../job/domain.ts';
import { scatterFinding } from './scatter-work.ts';
import { sweepFinding, type SweepWork } from './sweep-work.ts';
import { sets } from './vocabulary.ts';
import type { CurvesState } from './works.ts';

export const sweepOf = (state: CurvesState, v: StepView): SweepWork =>
  state.work.sweeps.find((s) => s.step === v.step.id)!;

export function sweepHeadline(state: CurvesState, v: StepView): string | null {
  const w = sweepOf(state, v);
  const found = sweepFinding(w, state.engine);
  if (found) return found;
  const n = w.points.filter((p) => p.deg !== null).length;
  return n > 0 ? `${n} ${n === 1 ? 'point' : 'points'} read: go on up in steps, then down` : null;
}

export function sweepOpen(state: CurvesState, v: StepView): string | Open | null {
  const w = sweepOf(state, v);
  const up = w.points.filter((p) => p.deg !== null && p.dir === 'up').length;
  if (up < 6) return `${up} points going up are read, six are needed to see the curve`;
  if (sets(v, 'baseline-known')) return null;
  const total = w.total?.verdict?.state;
  if (total === 'out')
    return { what: 'the total timing is above its limit: less advance before any load', short: 'out', never: true };
  if (w.compare?.state === 'out') return 'points of the curve lie outside their limits';
  return total === 'unsure' ? 'the total timing is near its limit, too close to call' : null;
}

export const scatterHeadline = (state: CurvesState): string | null => scatterFinding(state.work.scatter);

export function scatterOpen(state: CurvesState): string | null {
  const { worstDeg, mostDeg } = state.work.scatter;
  return worstDeg !== null && mostDeg !== null && worstDeg > mostDeg ? 'the timing scatters more than its limit' : null;
}
