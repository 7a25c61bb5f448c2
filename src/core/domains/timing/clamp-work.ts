import { numberOf } from './vocabulary.ts';
import { settledOf } from '../../job/readings.ts';
import { torqueLeft, torqueOf, torqueText, type Torque } from '../../job/torque.ts';
import type { TimingState } from './works.ts';

/** The clamp brought to its torque: how it compares with what is wanted, and whether the timing moved by it. */
export interface ClampWork {
  /** last reading of the wrench against the data sheet, N·m; u is one standard uncertainty. Null where either is missing */
  torque: Torque | null;
  /** timing after less timing before the clamp was tightened, degrees of the crank, by the same mark. Null until read */
  moved: { deg: number; u: number; real: boolean } | null;
}

/** Both by the readings of the step and of the strobe's latest setting: the mark's error is in both and drops out. */
export function clampWork(state: TimingState): ClampWork {
  const strobe = state.sheet.steps.findLast((s) => s.role === 'strobe');
  const before = strobe ? state.work.timing[strobe.id]?.latest : null;
  const after = settledOf(state.readings, 'after-clamp');
  const deg = before && after ? after.value - before.readBtdc : null;
  const u = before && after ? Math.hypot(before.uReading, after.u) : 0;
  return {
    torque: clampTorque(state),
    moved: deg === null ? null : { deg, u, real: Math.abs(deg) > 2 * u + 1e-9 }
  };
}

function clampTorque(state: TimingState): Torque | null {
  const wantedNm = numberOf(state.engine, 'clampTorqueNm');
  const last = state.readings.findLast((r) => r.slot === 'torque');
  return last && wantedNm !== undefined ? torqueOf(last, wantedNm) : null;
}

const CLAMP = 'torque of the clamp';

/** The finding of the step; null before anything was read. */
export function clampHeadline(state: TimingState): string | null {
  const { torque, moved } = clampWork(state);
  if (moved)
    return moved.real
      ? `Tightening moved the timing ${Math.abs(moved.deg).toFixed(1)}° ${moved.deg > 0 ? 'earlier' : 'later'}: set it again`
      : 'The timing did not move while the clamp was tightened';
  if (!torque) return null;
  const then = {
    reached: ': start it and read the timing again',
    short: ': tighten on',
    over: ': look at stud and flange',
    unsure: '',
    unnamed: ''
  }[torque.state];
  return torqueText(torque, CLAMP) + then;
}

/** What the step leaves open. */
export function clampOpen(state: TimingState): string | null {
  const { torque, moved } = clampWork(state);
  const left = torque && torqueLeft(torque, CLAMP);
  if (left) return left;
  return moved?.real ? 'tightening the clamp has moved the timing' : null;
}
