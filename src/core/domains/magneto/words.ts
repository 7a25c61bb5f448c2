import type { StepView } from '../../job/domain.ts';
import type { Advised } from '../../job/advised.ts';
import { degText, judgedBy, plusMinus, turnWord } from '../../job/texts.ts';
import { torqueLeft } from '../../job/torque.ts';
import { formatTiming, timingLimits, timingPm } from '../../units/format.ts';
import { handStart, type Heard } from './magneto-work.ts';
import { choiceOf, numberOf } from './vocabulary.ts';
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

/** As data: the gear meshed anew by so many teeth, or left. */
export function couplingAdvice(state: MagnetoState): Advised | null {
  const tooth = state.work.magneto.coupling?.tooth;
  if (!tooth) return null;
  if (tooth.moveTeeth === 0) return { act: 'leave', verdict: 'in' };
  const sense = tooth.moveTeeth > 0 ? 'cw' : 'ccw';
  return { act: 'turn', what: 'gear', sense, amount: Math.abs(tooth.moveTeeth), unit: 'teeth', verdict: 'out' };
}

/** What the lag makes of the spark, and of a hand start. */
export function lagText(state: MagnetoState): string | null {
  const { lag } = state.work.magneto;
  if (!lag) return null;
  const fires = `At starting speed it fires ${degText(lag.lagCrankDeg)} of the crank later, ${formatTiming(lag.snapBtdc, 1)}`;
  if (lag.kickback) return `${fires}: before the top, it kicks back. Never start it by hand`;
  const heard = state.work.magneto.snapAfter ?? state.work.magneto.snap;
  return `${fires}. ${
    {
      unheard: 'Never start it by hand before the snap was heard at the top or after it',
      kicks: `It was heard at ${heard && timingPm(heard.value, heard.u)}, which may be before the top: it kicks back. Never start it by hand`,
      fit: `It was heard at ${heard && timingPm(heard.value, heard.u)}: fit for a hand start`
    }[handStart(state.work.magneto)]
  }`;
}

const isAfter = (v: StepView): boolean => v.step.slots.some((s) => s.slot === 'snap-after');
const NO_MARK = 'no job has proved the mark that it was read on';
const OFF_MARK = ' with the mark\u2019s error taken off';

/** How the flange is turned for a change of the spark, from the drive end: against the magneto's run for earlier. */
export function flangeTurn(state: MagnetoState, changeDeg: number): { turn: 'cw' | 'ccw'; deg: number } | null {
  const runs = choiceOf(state.engine, 'magnetoDirection');
  const ratio = numberOf(state.engine, 'magnetoRatio');
  if ((runs !== 'cw' && runs !== 'ccw') || ratio === undefined) return null;
  const against = runs === 'cw' ? 'ccw' : 'cw';
  return { turn: changeDeg > 0 ? against : runs, deg: Math.abs(changeDeg) * ratio };
}

/** `turn the flange anticlockwise (from the drive end) 3.4°, 6.8° of the crank earlier`. */
function flangeText(state: MagnetoState, changeDeg: number): string {
  const t = flangeTurn(state, changeDeg);
  const crank = `${degText(Math.abs(changeDeg))} of the crank ${changeDeg > 0 ? 'earlier' : 'later'}`;
  return t
    ? `turn the flange ${turnWord(t.turn)} (from the drive end) ${degText(t.deg)}, ${crank}`
    : `turn the flange until it fires ${crank}`;
}

const changeOf = (h: Heard): number => (h.aim === null ? 0 : h.aim - h.value);

export function snapHeadline(state: MagnetoState, v: StepView): string | null {
  const w = state.work.magneto;
  if (w.twoLobes)
    return 'The readings lie on two lobes, or two cylinders: find number one again. If the flange was turned in between, say so';
  const s = isAfter(v) ? w.snapAfter : w.snap;
  if (!s) return lagText(state);
  if (isAfter(v) && w.moved?.real)
    return `Tightening moved the snap ${degText(Math.abs(w.moved.deg))} ${w.moved.deg > 0 ? 'earlier' : 'later'}: set it again`;
  if (isAfter(v) && (!s.verdict || (s.verdict.state === 'in' && s.advice !== 'turn')))
    return w.moved ? `The snap did not move by more than can be heard, ${plusMinus(w.moved.u, 1)}°` : heardText(s);
  if (isAfter(v) && s.advice === 'turn') return `${heardText(s)}: set it again`;
  if (s.guessed)
    return `${heardText(s)}. It lies apart from what was heard before: say whether the flange was turned, or hear it once more`;
  const then = {
    leave: '',
    limit: ': no further hearing decides it',
    again: ': hear it again',
    turn: `: ${flangeText(state, changeOf(s))}`
  }[s.advice];
  return `${heardText(s)}${then}`;
}

function heardText(s: Heard): string {
  if (s.unproved)
    return `Snap at ${timingPm(s.value, s.u)} as the mark reads: ${NO_MARK}, and nothing is set or judged by it`;
  const heard = `Snap at ${timingPm(s.value, s.u)}${OFF_MARK}`;
  return s.verdict
    ? `${heard}: ${judgedBy(s.verdict.state, timingLimits(s.min, s.max))}`
    : `${heard}: not judged, the data sheet has no limits`;
}

export function snapOpen(state: MagnetoState, v: StepView): string | null {
  const w = state.work.magneto;
  if (w.twoLobes) return 'the snap was heard on two lobes, or two cylinders';
  const s = isAfter(v) ? w.snapAfter : w.snap;
  if (!s)
    return isAfter(v) || !w.snap
      ? 'the snap was not heard since the flange was last touched'
      : 'the snap was not heard yet';
  const left = isAfter(v) && w.torque ? torqueLeft(w.torque, 'torque of the flange') : null;
  if (left) return left;
  if (s.unproved) return NO_MARK;
  if (s.verdict && s.verdict.state !== 'in')
    return `the snap is ${s.verdict.state === 'out' ? 'outside its limits' : 'too close to call'}`;
  return isAfter(v) && w.moved?.real ? 'tightening has moved the snap' : null;
}

/** What to do about the snap: the flange turned, the snap heard again, or left. */
export function snapAdvice(state: MagnetoState, v: StepView): Advised | null {
  const w = state.work.magneto;
  const s = isAfter(v) ? w.snapAfter : w.snap;
  if (!s || w.twoLobes) return null;
  const verdict = s.verdict?.state ?? null;
  if (isAfter(v)) {
    const again = w.moved?.real === true || s.advice === 'turn';
    return again
      ? { act: 'reopen', step: settingStep(state), verdict, target: s.aim }
      : { act: s.advice === 'again' ? 'again' : 'leave', verdict };
  }
  if (s.advice !== 'turn') return { act: s.advice === 'again' ? 'again' : 'leave', verdict, target: s.aim };
  const t = flangeTurn(state, changeOf(s));
  return {
    act: 'turn',
    what: 'flange',
    ...(t ? { sense: t.turn, amount: t.deg, unit: '°' } : {}),
    target: s.aim,
    verdict
  };
}

/** The step at which the flange is turned. */
const settingStep = (state: MagnetoState): string =>
  state.sheet.steps.find((s) => s.adjusts?.includes('flange'))?.id ?? '';

const tooSlow = (run: { rpm: number | null; rideOut: number | null }): boolean =>
  run.rpm !== null && run.rideOut !== null && run.rpm <= run.rideOut;

export function runHeadline(state: MagnetoState): string | null {
  const { run } = state.work.magneto;
  if (!run) return null;
  if (tooSlow(run))
    return `Read at ${run.rpm} rpm, where the coupling still holds back: read it above ${run.rideOut} rpm`;
  if (run.unproved)
    return `Running spark ${timingPm(run.value, run.u)} as the mark reads: ${NO_MARK}, and nothing is judged by it`;
  const read = `Running spark ${timingPm(run.value, run.u)}${OFF_MARK}`;
  if (!run.verdict) return `${read}: not judged, the data sheet has no limits`;
  const by = `${read}: ${judgedBy(run.verdict.state, timingLimits(run.min, run.max))}`;
  const then = {
    leave: '',
    limit: '. No further reading with this gauge decides it',
    again: ': read it again',
    turn: `. Stop it, ground it, open \u201c${titleOf(state, settingStep(state))}\u201d again and ${flangeText(state, changeOf(run))}`
  }[run.advice];
  return `${by}${then}`;
}

const titleOf = (state: MagnetoState, id: string): string => state.sheet.steps.find((s) => s.id === id)?.title ?? id;

export function runOpen(state: MagnetoState): string | null {
  const { run } = state.work.magneto;
  if (!run) return 'the running spark was not read since the flange was last touched';
  if (run.rideOut === null) return 'above which speed the coupling rides out is not on the data sheet';
  if (run.rpm === null) return 'the speed of that reading is missing';
  if (run.rpm <= run.rideOut) return 'it was read where the coupling still holds back';
  if (run.unproved) return NO_MARK;
  return run.verdict && run.verdict.state !== 'in'
    ? `the running spark is ${run.verdict.state === 'out' ? 'outside its limits' : 'too close to call'}`
    : null;
}

/** What to do about the running spark: where it lies off, the flange at its own step, by as much as it lies off. */
export function runAdvice(state: MagnetoState): Advised | null {
  const { run } = state.work.magneto;
  if (!run || tooSlow(run) || run.unproved) return null;
  const verdict = run.verdict?.state ?? null;
  if (run.advice !== 'turn') return { act: run.advice === 'again' ? 'again' : 'leave', verdict };
  const t = flangeTurn(state, changeOf(run));
  return {
    act: 'reopen',
    step: settingStep(state),
    what: 'flange',
    ...(t ? { sense: t.turn, amount: t.deg, unit: '°' } : {}),
    verdict
  };
}
