import type { Advised } from '../../job/advised.ts';
import type { StepView } from '../../job/domain.ts';
import { turnWord } from '../../job/texts.ts';
import { landed, toothFinding } from './tooth-work.ts';
import { asks, sets } from './vocabulary.ts';
import type { ToothState } from './works.ts';

export function toothHeadline(state: ToothState, v: StepView): string | null {
  const t = state.work.tooth;
  if (asks(v, 'twist') || asks(v, 'travel'))
    return t.stab
      ? `Point the rotor at ${t.stab.startBearingDeg.toFixed(0)}°: going down it turns ${t.stab.twistDeg.toFixed(0)}° ${turnWord(t.stab.dropTurns)}, to ${t.rotorTargetDeg!.toFixed(0)}°`
      : null;
  const seated = state.readings.findLast((r) => r.step === v.step.id && r.slot === 'rotor');
  const where = seated ? landed(t, seated.value) : null;
  if (where) return landedText(where);
  if (state.schools['index-order'].option === 'seat-first' && t.index) {
    const own = t.ownTooth?.find((c) => t.anyTower || c.terminal === 0);
    return own
      ? `Leave it in the tooth it found: housing at ${own.housingBearingDeg.toFixed(0)}°, ${own.advanceRoomDeg.toFixed(0)}° of the crank to advance, ${own.retardRoomDeg.toFixed(0)}° to retard`
      : 'In the tooth it found the housing cannot stand free: lift it and choose a tooth';
  }
  return toothFinding(t);
}

function landedText(w: { offDeg: number; teeth: number; within: boolean }): string {
  if (w.within)
    return `Right tooth: the rotor stands ${Math.abs(w.offDeg).toFixed(1)}° from the plan, within half a tooth`;
  const n = Math.abs(w.teeth);
  return `${n === 1 ? 'One tooth' : `${n} teeth`} out: lift, move ${n === 1 ? 'one tooth' : `${n} teeth`} ${w.offDeg > 0 ? 'anticlockwise' : 'clockwise'}, let down again`;
}

export function dropHeadline(state: ToothState): string | null {
  const e = state.work.tooth.engage;
  if (!e) return null;
  if (e.aligned) return 'Slot and tang line up: it goes right down';
  const slot = `turn the pump\u2019s slot ${Math.abs(e.slotTurnDeg).toFixed(1)}° ${turnWord(e.slotTurn as 'cw' | 'ccw')} (from above)`;
  const turn = `turn the crank ${e.crankToDropDeg.toFixed(0)}° forward until it drops, then ${e.crankToTargetDeg.toFixed(0)}° on to the setting`;
  return state.schools['oil-drive'].option === 'crank' ? `It drops if you ${turn}` : `It drops if you ${slot}`;
}

/** A shaft is at fault only when no tower lets the housing stand free on the tooth it has; words of both findings. */
export function faultHeadline(state: ToothState): string | null {
  const t = state.work.tooth;
  if (t.error) return t.error.message;
  const cure = t.ownTooth;
  if (!t.index || cure === null) return t.lacks.length ? `Still to be read: ${t.lacks.join(', ')}` : null;
  if (cure.length === 0) {
    const best = t.index.best;
    return best && best.toothStep !== 0
      ? `The shaft is at fault, ${teethText(best.toothStep)} out: on its tooth the housing stands free with no tower`
      : 'On this tooth the housing stands free with no tower, and on no other either: look for another cause';
  }
  const c = cure[0]!;
  const where = `at ${c.housingBearingDeg.toFixed(0)}°, ${c.advanceRoomDeg.toFixed(0)}° of the crank to advance and ${c.retardRoomDeg.toFixed(0)}° to retard`;
  return c.terminal === 0
    ? `Not the shaft: on this tooth the housing stands free ${where}`
    : `It can be lived with: number one on the tower that is number ${t.order[c.terminal]}\u2019s now, the housing stands free ${where}`;
}

const teethText = (k: number) => (Math.abs(k) === 1 ? 'one tooth' : `${Math.abs(k)} teeth`);

export function faultOpen(state: ToothState): string | null {
  const { ownTooth, index } = state.work.tooth;
  if (!index || ownTooth === null) return 'the tooth cannot be judged yet';
  if (ownTooth.length > 0) return 'the housing stands free on the tooth it has, the shaft is not the fault';
  return index.best ? null : 'no tooth lets the housing stand free';
}

export function shaftHeadline(state: ToothState): string | null {
  const o = state.work.tooth.orient;
  if (!o) return null;
  const off = Math.abs(o.best.offDeg);
  const at = off < 0.5 ? 'exactly' : `${off.toFixed(1)}° off`;
  const move =
    o.best.toothStep === 0
      ? `It is on the nearest tooth, ${at}`
      : `Move ${teethText(o.best.toothStep)} ${o.best.toothStep > 0 ? 'clockwise' : 'anticlockwise'}: then the slot stands ${at}`;
  return o.tie
    ? `${move}; the tooth beside it is as near, this one leaves more room to advance`
    : `${move}, better than the next by ${o.betterByDeg.toFixed(1)}°`;
}

/** Where the shaft goes into mesh, its slot has to stand on the nearest tooth before the step is done. */
export function shaftOpen(state: ToothState, v: StepView): string | null {
  const o = state.work.tooth.orient;
  if (!sets(v, 'gear-meshed') || !o || o.best.toothStep === 0) return null;
  return `the slot stands ${teethText(o.best.toothStep)} out`;
}

/** As data: lifted and moved by so many teeth, or left. */
export function toothAdvice(state: ToothState, v: StepView): Advised | null {
  const seated = state.readings.findLast((r) => r.step === v.step.id && r.slot === 'rotor');
  const where = seated ? landed(state.work.tooth, seated.value) : null;
  if (!where) return null;
  if (where.within) return { act: 'leave', verdict: 'in' };
  const sense = where.offDeg > 0 ? 'ccw' : 'cw';
  return {
    act: 'lift',
    what: 'gear',
    sense,
    amount: Math.max(1, Math.abs(where.teeth)),
    unit: 'teeth',
    verdict: 'out'
  };
}

export function toothOpen(state: ToothState, v: StepView): string | null {
  const t = state.work.tooth;
  if (asks(v, 'arc-min')) {
    if (t.error) return t.error.message;
    if (t.index && !t.index.best) return 'no tooth lets the housing stand free';
  }
  const seated = state.readings.findLast((r) => r.step === v.step.id && r.slot === 'rotor');
  const where = seated ? landed(t, seated.value) : null;
  return where && !where.within ? 'the rotor stands more than half a tooth from the plan' : null;
}

export function witnessHeadline(state: ToothState, v: StepView): string | null {
  const said = state.work.witness.filter((w) => w.offDeg !== null);
  return asks(v, 'rotor-now') && said.length ? `${said[0]!.what}: ${said[0]!.meaning}` : null;
}

export function witnessOpen(state: ToothState, v: StepView): string | null {
  const rotor = state.work.witness[0]!;
  return asks(v, 'rotor-now') && rotor.meaning.includes('out, lift') ? `the rotor is ${rotor.meaning}` : null;
}
