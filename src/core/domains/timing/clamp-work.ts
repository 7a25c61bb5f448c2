import { numberOf } from './vocabulary.ts';
import { oneReading, settledOf } from '../../job/readings.ts';
import type { TimingState } from './works.ts';

/** The clamp brought to its torque: how it compares with what is wanted, and whether the timing moved by it. */
export interface ClampWork {
  /** last reading of the wrench against the data sheet, N·m; u is one standard uncertainty. Null where either is missing */
  torque: { nm: number; u: number; wantedNm: number; state: 'reached' | 'short' | 'over' | 'unsure' } | null;
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
    torque: torqueOf(state),
    moved: deg === null ? null : { deg, u, real: Math.abs(deg) > 2 * u + 1e-9 }
  };
}

function torqueOf(state: TimingState): ClampWork['torque'] {
  const wantedNm = numberOf(state.engine, 'clampTorqueNm');
  const last = state.readings.findLast((r) => r.slot === 'torque');
  if (!last || wantedNm === undefined) return null;
  const { value: nm, u, scatterUnknown } = oneReading(last);
  const off = nm - wantedNm;
  if (off < -2 * u - 1e-9) return { nm, u, wantedNm, state: 'short' };
  if (off > 2 * u + 1e-9) return { nm, u, wantedNm, state: 'over' };
  return { nm, u, wantedNm, state: scatterUnknown ? 'unsure' : 'reached' };
}

/** The finding of the step; null before anything was read. */
export function clampHeadline(state: TimingState): string | null {
  const { torque, moved } = clampWork(state);
  if (moved)
    return moved.real
      ? `Tightening moved the timing ${Math.abs(moved.deg).toFixed(1)}° ${moved.deg > 0 ? 'earlier' : 'later'}: set it again`
      : 'The timing did not move while the clamp was tightened';
  if (!torque) return null;
  if (torque.state === 'short') return `The clamp is short of its torque, ${torque.wantedNm} N\u00b7m: tighten on`;
  return torque.state === 'over'
    ? `The clamp is above its torque, ${torque.wantedNm} N\u00b7m: look at stud and flange`
    : `Torque of ${torque.wantedNm} N\u00b7m reached: start it and read the timing again`;
}

/** What the step leaves open. */
export function clampOpen(state: TimingState): string | null {
  const { torque, moved } = clampWork(state);
  if (torque?.state === 'short') return 'the clamp is short of its torque';
  if (torque?.state === 'over') return 'the clamp is above its torque';
  return moved?.real ? 'tightening the clamp has moved the timing' : null;
}
