import type { StepView } from '../../job/domain.ts';
import { sweepFinding } from '../curves/sweep-work.ts';
import { sweepHeadline, sweepOf } from '../curves/words.ts';
import type { RecurveState } from './works.ts';

export function recurveHeadline(state: RecurveState): string | null {
  const w = state.work.recurve;
  if (w.problem) return w.problem;
  if (w.predicted && w.springs.length === 2)
    return `${w.springs.map((s) => s.name).join(' + ')}${w.stop ? `, ${w.stop.name}` : ''}: starts at ${w.predicted.startRpm.toFixed(0)}, all in at ${w.predicted.fullRpm.toFixed(0)} rpm`;
  return w.lacks.length ? `Still to come: ${w.lacks.join(', ')}` : null;
}

export function recurveOpen(state: RecurveState): string | null {
  const w = state.work.recurve;
  if (w.springs.length !== 2) return 'no springs are taken from the tray';
  if (w.predicted?.unstableFromDeg != null) return 'with these springs the weights snap out';
  return w.problem;
}

export function targetsHeadline(state: RecurveState): string | null {
  const { target, targetFrom } = state.work.recurve;
  return targetFrom === 'said' ? `The target has ${target.length} points: search the tray` : null;
}

/** A sweep taken after springs were changed is measured against what they were to do. */
export function sweptAgainHeadline(state: RecurveState, v: StepView): string | null {
  const { model } = state.work;
  const found = model && sweepFinding(sweepOf(state, v), state.engine);
  return found ? `${found}; ${model.rmsDeg.toFixed(1)}° from what was predicted` : sweepHeadline(state, v);
}
