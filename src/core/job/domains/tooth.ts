import { landed, toothFinding, toothWork } from '../drive/tooth-work.ts';
import { witnessWork } from '../drive/witness-work.ts';
import { add } from '../figures.ts';
import type { JobState, StepView } from '../state.ts';
import type { Domain } from './domain.ts';
import { asks, turnWord } from './said.ts';

/** Which tooth, where to point, when the oil-pump drive falls in; witness marks. */
export const toothDomain: Domain = {
  name: 'tooth',
  works: {
    tooth: (c) => toothWork(c.engine, c.r, c.placeAt),
    witness: (c) => witnessWork(c.engine, c.r)
  },
  surfaces: {
    tooth: { headline: toothHeadline, open: toothOpen },
    drop: { headline: dropHeadline },
    shaft: { headline: shaftHeadline },
    witness: {
      headline: (state, v) => {
        const said = state.work.witness.filter((w) => w.offDeg !== null);
        return asks(v, 'rotor-now') && said.length ? `${said[0]!.what}: ${said[0]!.meaning}` : null;
      },
      open: (state, v) => {
        const rotor = state.work.witness[0]!;
        return asks(v, 'rotor-now') && rotor.meaning.includes('out, lift') ? `the rotor is ${rotor.meaning}` : null;
      }
    }
  },
  figures: ({ tooth }) =>
    tooth.index?.best
      ? [
          add({
            key: 'tooth',
            label: 'Room to turn the housing, least side',
            value: tooth.index.best.score,
            kind: 'crank',
            calc: 'drive.index',
            input: { arc: tooth.arc, observed: tooth.observed?.bearingDeg },
            output: tooth.index.best
          })
        ]
      : []
};

function toothHeadline(state: JobState, v: StepView): string | null {
  const t = state.work.tooth;
  if (asks(v, 'twist') || asks(v, 'travel'))
    return t.stab
      ? `Point the rotor at ${t.stab.startBearingDeg.toFixed(0)}°: going down it turns ${t.stab.twistDeg.toFixed(0)}° ${turnWord(t.stab.dropTurns)}, to ${t.rotorTargetDeg!.toFixed(0)}°`
      : null;
  const seated = state.readings.findLast((r) => r.step === v.step.id && r.slot === 'rotor');
  const where = seated ? landed(t, seated.value) : null;
  if (where) return landedText(where);
  if (state.schools['index-order'].option === 'seat-first' && t.index) {
    const own = t.index.candidates.find((c) => c.toothStep === 0);
    return own
      ? `Leave it in the tooth it found: housing at ${own.housingBearingDeg.toFixed(0)}°, ${own.advanceRoomDeg.toFixed(0)}° to advance, ${own.retardRoomDeg.toFixed(0)}° to retard`
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

function dropHeadline(state: JobState): string | null {
  const e = state.work.tooth.engage;
  if (!e) return null;
  if (e.aligned) return 'Slot and tang line up: it goes right down';
  const slot = `turn the pump\u2019s slot ${Math.abs(e.slotTurnDeg).toFixed(1)}° ${turnWord(e.slotTurn as 'cw' | 'ccw')} (from above)`;
  const turn = `turn the crank ${e.crankToDropDeg.toFixed(0)}° forward until it drops, then ${e.crankToTargetDeg.toFixed(0)}° on to the setting`;
  return state.schools['oil-drive'].option === 'crank' ? `It drops if you ${turn}` : `It drops if you ${slot}`;
}

function shaftHeadline(state: JobState): string | null {
  const o = state.work.tooth.orient;
  if (!o) return null;
  const off = Math.abs(o.best.offDeg);
  const at = off < 0.5 ? 'exactly' : `${off.toFixed(1)}° off`;
  const move =
    o.best.toothStep === 0
      ? `It is on the nearest tooth, ${at}`
      : `Move ${Math.abs(o.best.toothStep) === 1 ? 'one tooth' : `${Math.abs(o.best.toothStep)} teeth`} ${o.best.toothStep > 0 ? 'clockwise' : 'anticlockwise'}: then the slot stands ${at}`;
  return o.tie
    ? `${move}; the tooth beside it is as near, this one leaves more room to advance`
    : `${move}, better than the next by ${o.betterByDeg.toFixed(1)}°`;
}

function toothOpen(state: JobState, v: StepView): string | null {
  const t = state.work.tooth;
  if (asks(v, 'arc-min')) {
    if (t.error) return t.error.message;
    if (t.index && !t.index.best) return 'no tooth lets the housing stand free';
  }
  const seated = state.readings.findLast((r) => r.step === v.step.id && r.slot === 'rotor');
  const where = seated ? landed(t, seated.value) : null;
  return where && !where.within ? 'the rotor stands more than half a tooth from the plan' : null;
}
