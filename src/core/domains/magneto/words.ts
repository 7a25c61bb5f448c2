import type { StepView } from '../../job/domain.ts';
import { degText, judgedBy } from '../../job/texts.ts';
import { torqueLeft } from '../../job/torque.ts';
import { formatTiming, timingLimits, timingPm } from '../../units/format.ts';
import type { MagnetoState } from './works.ts';

const way = (deg: number): string => (deg > 0 ? 'clockwise' : 'anticlockwise');

export function couplingHeadline(state: MagnetoState): string | null {
  const c = state.work.magneto.coupling;
  if (!c) return null;
  if (Math.abs(c.offDeg) < 0.5) return 'The coupling stands as it must';
  const off = `The coupling stands ${degText(Math.abs(c.offDeg))} ${way(c.offDeg)} of its direction`;
  if (!c.tooth) return `${off}: how many teeth its gear has is not on the data sheet`;
  const n = Math.abs(c.tooth.moveTeeth);
  return n === 0
    ? `${off}, less than half a tooth: leave the gear`
    : `${off}: mesh the gear ${n} ${n === 1 ? 'tooth' : 'teeth'} ${way(c.tooth.moveTeeth)}, then ${degText(Math.abs(c.tooth.leftDeg))} is left`;
}

export function couplingOpen(state: MagnetoState): string | null {
  const c = state.work.magneto.coupling;
  if (!c) return 'how the drive coupling stands was not read';
  if (!c.tooth) return 'how many teeth its gear has is not on the data sheet';
  return c.tooth.moveTeeth === 0 ? null : 'the coupling stands more than half a tooth off';
}

/** What the lag makes of the spark, and of a hand start. */
export function lagText(state: MagnetoState): string | null {
  const { lag } = state.work.magneto;
  if (!lag) return null;
  const fires = `At starting speed it fires ${degText(lag.lagCrankDeg)} of the crank later, ${formatTiming(lag.snapBtdc, 1)}`;
  return lag.kickback
    ? `${fires}: before the top, it kicks back. Never start it by hand`
    : `${fires}: at the top or after it, fit for a hand start`;
}

const isAfter = (v: StepView): boolean => v.step.slots.some((s) => s.slot === 'snap-after');

export function snapHeadline(state: MagnetoState, v: StepView): string | null {
  const w = state.work.magneto;
  if (w.twoLobes) return 'The readings lie on two lobes, or two cylinders: find number one again';
  const s = isAfter(v) ? w.snapAfter : w.snap;
  if (!s) return lagText(state);
  if (isAfter(v) && w.snap) {
    const moved = s.value - w.snap.value;
    const doubt = 2 * Math.hypot(s.u, w.snap.u);
    return Math.abs(moved) > doubt + 1e-9
      ? `Tightening moved the snap ${degText(Math.abs(moved))} ${moved > 0 ? 'earlier' : 'later'}: set it again`
      : 'The snap is where it was';
  }
  const heard = `Snap at ${timingPm(s.value, s.u)}`;
  if (!s.verdict) return `${heard}: not judged, the data sheet has no limits`;
  const then = { in: '', unsure: ': hear it again', out: ': turn the flange' }[s.verdict.state];
  return `${heard}: ${judgedBy(s.verdict.state, timingLimits(s.min, s.max))}${then}`;
}

export function snapOpen(state: MagnetoState, v: StepView): string | null {
  const w = state.work.magneto;
  if (w.twoLobes) return 'the snap was heard on two lobes, or two cylinders';
  const s = isAfter(v) ? w.snapAfter : w.snap;
  if (!s) return 'the snap was not heard yet';
  const left = isAfter(v) && w.torque ? torqueLeft(w.torque, 'torque of the flange') : null;
  if (left) return left;
  if (s.verdict && s.verdict.state !== 'in')
    return `the snap is ${s.verdict.state === 'out' ? 'outside its limits' : 'too close to call'}`;
  return isAfter(v) && w.snap && Math.abs(s.value - w.snap.value) > 2 * Math.hypot(s.u, w.snap.u) + 1e-9
    ? 'tightening has moved the snap'
    : null;
}

export function runHeadline(state: MagnetoState): string | null {
  const { run } = state.work.magneto;
  if (!run) return null;
  if (run.rpm !== null && run.rideOut !== null && run.rpm <= run.rideOut)
    return `Read at ${run.rpm} rpm, where the coupling still holds back: read it above ${run.rideOut} rpm`;
  const read = `Running spark ${timingPm(run.value, run.u)}`;
  if (!run.verdict) return `${read}: not judged, the data sheet has no limits`;
  return `${read}: ${judgedBy(run.verdict.state, timingLimits(run.min, run.max))}`;
}

export function runOpen(state: MagnetoState): string | null {
  const { run } = state.work.magneto;
  if (!run) return 'the running spark was not read';
  if (run.rideOut === null) return 'above which speed the coupling rides out is not on the data sheet';
  if (run.rpm === null) return 'the speed of that reading is missing';
  if (run.rpm <= run.rideOut) return 'it was read where the coupling still holds back';
  return run.verdict && run.verdict.state !== 'in'
    ? `the running spark is ${run.verdict.state === 'out' ? 'outside its limits' : 'too close to call'}`
    : null;
}
