import { numberOf } from './vocabulary.ts';
import { settledOf } from '../../job/readings.ts';
import { torqueLeft, torqueOf, torqueText, type Torque } from '../../job/torque.ts';
import { judgedSlot, type Judged } from '../../job/judged.ts';
import type { Reading } from '../../job/replayed.ts';
import { judgedBy, plusMinus } from '../../job/texts.ts';
import { timingLimits, timingPm } from '../../units/format.ts';
import { slots } from './slots.ts';
import type { Open } from '../../job/domain.ts';
import type { Advised } from '../../job/advised.ts';
import type { TimingState } from './works.ts';

/** The clamp brought to its torque: how it compares with what is wanted, and whether the timing moved by it. */
export interface ClampWork {
  /** last reading of the wrench against the data sheet, N·m; u is one standard uncertainty. Null where either is missing */
  torque: Torque | null;
  /** timing after less timing before the clamp was tightened, degrees of the crank, by the same mark. Null until read */
  moved: { deg: number; u: number; real: boolean } | null;
  /** the timing as it stands with the clamp tight, the mark's error taken off, against its limits; null until read */
  stands: Judged | null;
}

/**
 * By the readings since the clamp was tightened and the strobe's latest setting: the mark's error is in both and drops out.
 * What was read before the housing or the clamp was touched again is of an earlier setting and says nothing of this one.
 */
export function clampWork(state: TimingState): ClampWork {
  const strobe = state.sheet.steps.findLast((s) => s.role === 'strobe');
  const before = strobe ? state.work.timing[strobe.id]?.latest : null;
  const now = state.readings.filter((r) => !r.setting?.earlier);
  const after = settledOf(now, 'after-clamp');
  const deg = before && !before.earlier && after ? after.value - before.readBtdc : null;
  const u = before && after ? Math.hypot(before.uReading, after.u) : 0;
  return {
    torque: clampTorque(state, now),
    moved: deg === null ? null : { deg, u, real: Math.abs(deg) > 2 * u + 1e-9 },
    stands: judgedSlot(state.engine, now, slots['after-clamp'], state.correction)
  };
}

function clampTorque(state: TimingState, now: readonly Reading[]): Torque | null {
  const wantedNm = numberOf(state.engine, 'clampTorqueNm');
  const last = now.findLast((r) => r.slot === 'torque');
  return last && wantedNm !== undefined ? torqueOf(last, wantedNm) : null;
}

const CLAMP = 'torque of the clamp';

/** Out, or too close to call and nearer to a limit than to what is aimed at: then it is worth setting again. */
function offCentre({ value, min, max, target, verdict }: Judged): boolean {
  if (!verdict || verdict.state === 'in') return false;
  if (verdict.state === 'out' || target === null) return verdict.state === 'out';
  const room = Math.min((max ?? Infinity) - target, target - (min ?? -Infinity));
  return Math.abs(value - target) > room / 2;
}

/** The finding of the step; null before anything was read. */
export function clampHeadline(state: TimingState): string | null {
  const { torque, moved, stands } = clampWork(state);
  if (moved?.real)
    return `Tightening moved the timing ${Math.abs(moved.deg).toFixed(1)}° ${moved.deg > 0 ? 'earlier' : 'later'}: set it again`;
  if (stands && offCentre(stands))
    return `With the clamp tight it stands at ${timingPm(stands.value, stands.u)}, ${judgedBy(stands.verdict!.state, timingLimits(stands.min, stands.max))}: set it again`;
  if (moved)
    return `The timing did not move by more than can be read, ${plusMinus(moved.u, 1)}°, while the clamp was tightened`;
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

/** What the step leaves open. A timing too near its limit says nothing against the clamp, which stands at its torque. */
export function clampOpen(state: TimingState): string | Open | null {
  const { torque, moved, stands } = clampWork(state);
  const left = torque && torqueLeft(torque, CLAMP);
  if (left) return left;
  if (moved?.real) return 'tightening the clamp has moved the timing';
  if (!stands || !offCentre(stands)) return null;
  if (stands.verdict!.state === 'out') return 'with the clamp tight the timing is outside its limits';
  return {
    what: 'with the clamp tight the timing is near its limit, too close to call',
    short: 'undecided',
    aside: true
  };
}

/** The same as data: where tightening moved it, or it stands off, the strobe's step is opened again. */
export function clampAdvice(state: TimingState): Advised | null {
  const { moved, stands } = clampWork(state);
  if (!moved && !stands) return null;
  const verdict = stands?.verdict?.state ?? null;
  if (!moved?.real && !(stands && offCentre(stands))) return { act: 'leave', verdict };
  const strobe = state.sheet.steps.findLast((s) => s.role === 'strobe');
  return { act: 'reopen', step: strobe?.id ?? '', what: 'housing', target: stands?.target ?? null, verdict };
}
