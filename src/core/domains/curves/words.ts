import type { StepView } from '../../job/domain.ts';
import { scatterFinding } from './scatter-work.ts';
import { sweepFinding, type SweepWork } from './sweep-work.ts';
import { asks, sets } from './vocabulary.ts';
import type { CurvesState } from './works.ts';

const sweepOf = (state: CurvesState, v: StepView): SweepWork => state.work.sweeps.find((s) => s.step === v.step.id)!;
/** A sweep taken after springs were changed is measured against what they were to do. */
const isSecond = (state: CurvesState, v: StepView): boolean =>
  state.work.sweeps.findIndex((s) => s.step === v.step.id) > 0;

export function sweepHeadline(state: CurvesState, v: StepView): string | null {
  if (asks(v, 'spread')) return scatterFinding(state.work.scatter);
  const w = sweepOf(state, v);
  const found = sweepFinding(w, state.engine);
  const { model } = state.work;
  if (isSecond(state, v) && model && found) return `${found}; ${model.rmsDeg.toFixed(1)}° from what was predicted`;
  if (found) return found;
  const n = w.points.filter((p) => p.deg !== null).length;
  return n > 0 ? `${n} ${n === 1 ? 'point' : 'points'} read: go on up in steps, then down` : null;
}

export function sweepOpen(state: CurvesState, v: StepView): string | null {
  if (asks(v, 'spread')) {
    const { worstDeg, mostDeg } = state.work.scatter;
    return worstDeg !== null && mostDeg !== null && worstDeg > mostDeg
      ? 'the timing scatters more than its limit'
      : null;
  }
  const w = sweepOf(state, v);
  const up = w.points.filter((p) => p.deg !== null && p.dir === 'up').length;
  if (up < 6) return `${up} points going up are read, six are needed to see the curve`;
  if (sets(v, 'baseline-known')) return null;
  if (w.compare?.state === 'out') return 'points of the curve lie outside their limits';
  return w.total?.verdict?.state === 'out' ? 'the total timing is above its limit' : null;
}

export function recurveHeadline(state: CurvesState): string | null {
  const w = state.work.recurve;
  if (w.problem) return w.problem;
  if (w.predicted && w.springs.length === 2)
    return `${w.springs.map((s) => s.name).join(' + ')}${w.stop ? `, ${w.stop.name}` : ''}: starts at ${w.predicted.startRpm.toFixed(0)}, all in at ${w.predicted.fullRpm.toFixed(0)} rpm`;
  return w.lacks.length ? `Still to come: ${w.lacks.join(', ')}` : null;
}

export function recurveOpen(state: CurvesState): string | null {
  const w = state.work.recurve;
  if (w.springs.length !== 2) return 'no springs are taken from the tray';
  if (w.predicted?.unstableFromDeg != null) return 'with these springs the weights snap out';
  return w.problem;
}

export function targetsHeadline(state: CurvesState): string | null {
  const { target, targetFrom } = state.work.recurve;
  return targetFrom === 'said' ? `The target has ${target.length} points: search the tray` : null;
}
