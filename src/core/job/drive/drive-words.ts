import type { StepView, JobState } from '../state.ts';
import { lengthPm, type LengthText } from '../words.ts';
import { tipFinding, wiresFinding } from './cap-work.ts';
import { gearFinding } from './gear-work.ts';
import { patchFinding, type PatchRow } from './patch-work.ts';
import { landed, toothFinding } from './tooth-work.ts';

const asks = (v: StepView, slot: string): boolean => v.step.slots.some((s) => s.slot === slot);
const turnWord = (t: 'cw' | 'ccw'): string => (t === 'cw' ? 'clockwise' : 'anticlockwise');
const WORD = { in: 'in', out: 'out', unsure: 'too close to call' };

/** The finding or instruction at the top of a step of the drive; null leaves the step's own sentence. */
export function driveHeadline(state: JobState, v: StepView, len: LengthText): string | null {
  switch (v.step.surface) {
    case 'stack':
      return stackHeadline(state, v, len);
    case 'rings': {
      const { height } = state.drive.rings;
      return height?.verdict
        ? `Shaft height ${lengthPm(len, height.mm, height.uMm, 2)}: ${WORD[height.verdict.state]}`
        : null;
    }
    case 'patch': {
      const row = lastPatch(state);
      return row?.problem ?? (row?.pattern ? patchFinding(row.pattern) : null);
    }
    case 'gears':
      return gearsHeadline(state, v);
    case 'tooth':
      return toothHeadline(state, v);
    case 'drop':
      return dropHeadline(state);
    case 'shaft':
      return shaftHeadline(state);
    case 'witness': {
      const said = state.drive.witness.filter((w) => w.offDeg !== null);
      return asks(v, 'rotor-now') && said.length ? `${said[0]!.what}: ${said[0]!.meaning}` : null;
    }
    case 'wires': {
      const { map, problem, wires, count } = state.drive.wires;
      if (problem) return problem;
      if (map) return wiresFinding(map);
      return wires.length && count ? `${wires.length} of ${count} leads traced: go on clockwise` : null;
    }
    case 'tip':
      return tipFinding(state.drive.tip);
    default:
      return null;
  }
}

function stackHeadline(state: JobState, v: StepView, len: LengthText): string | null {
  const { stack } = state.drive;
  if (stack.clamped && !asks(v, 'length'))
    return `Stop: washer and gaps leave ${len(stack.bare!.floatMm, 3)} of float, the drive would be clamped`;
  if (asks(v, 'float-tight') && stack.lossMm)
    return stack.bottoms
      ? `It bottoms: clamping takes ${len(stack.lossMm.value, 2)} of float away`
      : 'No float is lost by clamping: it does not bottom';
  if (asks(v, 'float-dial') && stack.direct)
    return judged('End float', stack.direct.value, stack.direct.u, stack.direct.verdict?.state, len);
  if (asks(v, 'length')) {
    const e = stack.engagement;
    if (!e) return null;
    if (e.verdict.state !== 'in') return judged('Oil-pump drive engaged', e.engagementMm, e.uMm, e.verdict.state, len);
    if (e.clearanceVerdict && e.clearanceVerdict.state !== 'in')
      return judged('Left before it bottoms', e.clearanceMm!, e.uMm, e.clearanceVerdict.state, len);
    return judged('Oil-pump drive engaged', e.engagementMm, e.uMm, 'in', len);
  }
  if (v.step.takes === 'packing' || asks(v, 'packing') || asks(v, 'gap')) {
    const { float, bare, packing } = stack;
    if (!bare || !float) return null;
    const what =
      packing.length === 0 ? 'End float without packing' : `End float with ${packing.map((p) => p.name).join(' and ')}`;
    return judged(what, float.mm, float.uMm, float.verdict?.state, len);
  }
  return null;
}

const judged = (what: string, mm: number, u: number, state: keyof typeof WORD | undefined, len: LengthText): string =>
  `${what} ${lengthPm(len, mm, u)}${state ? `: ${WORD[state]}` : ''}`;

function gearsHeadline(state: JobState, v: StepView): string | null {
  const { gears } = state.drive;
  if (asks(v, 'gear-turned') && gears.reindex) {
    const { rotorShiftDeg, crankDeg } = gears.reindex;
    return Math.abs(rotorShiftDeg) < 0.05
      ? 'Turned by whole teeth: rotor against teeth is as it was'
      : `Rotor shifts ${Math.abs(rotorShiftDeg).toFixed(1)}° ${rotorShiftDeg > 0 ? 'clockwise' : 'anticlockwise'} against the teeth, ${Math.abs(crankDeg).toFixed(1)}° of the crank`;
  }
  if (asks(v, 'dimension') && gears.dimension?.verdict)
    return `Mounting face to lower gear face ${gears.dimension.value.toFixed(2)} mm: ${WORD[gears.dimension.verdict.state]}`;
  if (!asks(v, 'new-teeth')) return null;
  if (gears.ok === null)
    return gears.rows.some((r) => r.fresh !== null) ? `Still unknown: ${gears.lacks.join(', ')}` : null;
  if (!gears.ok) return `Do not fit it. ${gearFinding(gears.findings!.find((f) => f.severity === 'stop')!)}`;
  const unknown = gears.rows.filter((r) => r.state === 'unknown').length;
  return unknown ? `Nothing differs so far; ${unknown} not compared` : 'Old and new agree';
}

function toothHeadline(state: JobState, v: StepView): string | null {
  const t = state.drive.tooth;
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
  const e = state.drive.tooth.engage;
  if (!e) return null;
  if (e.aligned) return 'Slot and tang line up: it goes right down';
  const slot = `turn the pump\u2019s slot ${Math.abs(e.slotTurnDeg).toFixed(1)}° ${turnWord(e.slotTurn as 'cw' | 'ccw')} (from above)`;
  const turn = `turn the crank ${e.crankToDropDeg.toFixed(0)}° forward until it drops, then ${e.crankToTargetDeg.toFixed(0)}° on to the setting`;
  return state.schools['oil-drive'].option === 'crank' ? `It drops if you ${turn}` : `It drops if you ${slot}`;
}

function shaftHeadline(state: JobState): string | null {
  const o = state.drive.tooth.orient;
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

export const lastPatch = (state: JobState): PatchRow | null =>
  state.drive.patches.findLast((p) => p.high !== null) ?? null;

/** What a step of the drive leaves open, in words; null when it is settled. A reason overrules it. */
export function driveOpen(state: JobState, v: StepView): string | null {
  const d = state.drive;
  switch (v.step.surface) {
    case 'stack':
      return stackOpen(state, v);
    case 'rings':
      return verdictOpen('the height of the shaft', d.rings.height?.verdict?.state);
    case 'patch': {
      const row = lastPatch(state);
      if (!row) return 'no contact was read';
      // the reading before a correction may show anything: that is what it is for
      if (!v.step.sets.includes('pattern-read')) return row.problem;
      if (row.problem) return row.problem;
      if (row.pattern?.edgeContact) return 'the contact runs off the edge of the tooth';
      return row.pattern && row.pattern.state !== 'centred' ? `the contact is ${row.pattern.state}` : null;
    }
    case 'gears': {
      if (asks(v, 'dimension')) return verdictOpen('the installed dimension', d.gears.dimension?.verdict?.state);
      if (!asks(v, 'new-teeth')) return null;
      if (d.gears.ok === null) return `unknown: ${d.gears.lacks.join(', ')}`;
      return d.gears.ok ? null : gearFinding(d.gears.findings!.find((f) => f.severity === 'stop')!).replace(/\.$/, '');
    }
    case 'tooth':
      return toothOpen(state, v);
    case 'witness': {
      const rotor = d.witness[0]!;
      return asks(v, 'rotor-now') && rotor.meaning.includes('out, lift') ? `the rotor is ${rotor.meaning}` : null;
    }
    case 'wires':
      if (d.wires.problem) return d.wires.problem;
      if (!d.wires.map) return `${d.wires.wires.length} of ${d.wires.count ?? 'the'} leads are traced`;
      return d.wires.map.cause === 'right' ? null : lower(wiresFinding(d.wires.map));
    case 'tip':
      return d.tip.out && d.tip.out.state !== 'good' ? lower(tipFinding(d.tip)!) : null;
    default:
      return null;
  }
}

function stackOpen(state: JobState, v: StepView): string | null {
  const { stack } = state.drive;
  if (v.step.takes === 'packing') {
    if (!stack.bare) return 'washer and gaps are not both measured';
    return verdictOpen('the end float with what was taken', stack.float?.verdict?.state);
  }
  if (asks(v, 'float-tight') && stack.bottoms) return 'clamping takes float away: the drive stands on the pump';
  if (asks(v, 'float-dial')) return verdictOpen('the end float', stack.direct?.verdict?.state);
  if (asks(v, 'length')) {
    if (!stack.engagement) return 'length and depth are not both read';
    return (
      verdictOpen('the engagement', stack.engagement.verdict.state) ??
      verdictOpen('the clearance before it bottoms', stack.engagement.clearanceVerdict?.state)
    );
  }
  return null;
}

function toothOpen(state: JobState, v: StepView): string | null {
  const t = state.drive.tooth;
  if (asks(v, 'arc-min')) {
    if (t.error) return t.error.message;
    if (t.index && !t.index.best) return 'no tooth lets the housing stand free';
  }
  const seated = state.readings.findLast((r) => r.step === v.step.id && r.slot === 'rotor');
  const where = seated ? landed(t, seated.value) : null;
  return where && !where.within ? 'the rotor stands more than half a tooth from the plan' : null;
}

function verdictOpen(what: string, state: keyof typeof WORD | undefined): string | null {
  if (state === undefined || state === 'in') return null;
  return state === 'out' ? `${what} is outside the limits` : `${what} is too close to call`;
}

const lower = (s: string): string => s.charAt(0).toLowerCase() + s.slice(1);
