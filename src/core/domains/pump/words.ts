import type { Open, StepView } from '../../job/domain.ts';
import type { Advised } from '../../job/advised.ts';
import { degText, judgedBy, list, lower, plusMinus, turnWord, VERDICT_WORD, type LengthText } from '../../job/texts.ts';
import { formatTiming, timingLimits, timingPm } from '../../units/format.ts';
import type { ClosureWork } from './closure-work.ts';
import type { GearWork } from './gear-slot.ts';
import { CLOSED_DEG } from './ledger-work.ts';
import type { LiftWork } from './lift-work.ts';
import { whichToBelieve } from './proof-work.ts';
import { choiceOf, lastOf, numberOf } from './vocabulary.ts';
import { torqueLeft, torqueOf, torqueText } from '../../job/torque.ts';
import type { PumpState } from './works.ts';

export function chartHeadline(state: PumpState, _: StepView, len: LengthText): string | null {
  const { liftChart: c } = state.work;
  if (c.problem) return c.problem.message;
  if (!c.target || !c.kind) return null;
  if (c.kind === 'lift-to-closure')
    return `The port closes at ${len(c.target.liftMm, 2)}, whatever the timing: the dial must show that with the crank at ${formatTiming(c.target.btdc)}`;
  return `A lift of ${len(c.target.liftMm, 2)} must stand with the crank at TDC`;
}

export function chartOpen(state: PumpState): string | null {
  const { liftChart: c } = state.work;
  if (c.problem) return c.problem.message.replace(/\.$/, '');
  if (!c.kind) return 'nobody has said what the maker\u2019s lift means';
  if (!c.target) return 'the lift that must stand is not known: the data sheet lacks it';
  return c.oneReader ? 'one person alone has read plate and heading: a second reads both' : null;
}

const liftOf = (state: PumpState, v: StepView): LiftWork => state.work.lifts[v.step.id]!;

export function liftHeadline(state: PumpState, v: StepView, len: LengthText): string | null {
  const w = liftOf(state, v);
  if (w.lift && w.standsWanted) return `${len(w.lift.mm, 2)} of lift: now read where the crank stands`;
  if (w.timing) {
    const { btdc, uDeg, verdict } = w.timing;
    const stands = `Timed ${timingPm(btdc, uDeg)}`;
    if (!verdict) return `${stands}: not judged, the data sheet has no limits`;
    const by = `${stands}: ${judgedBy(verdict.state, timingLimits(numberOf(state.engine, 'pumpMinBtdc') ?? null, numberOf(state.engine, 'pumpMaxBtdc') ?? null))}`;
    if (v.step.role !== 'lift-proof' || verdict.state === 'in') return by;
    return `${by}. ${mendText(state, v, len)}`;
  }
  if (w.problem) return w.problem.message;
  if (w.closure && w.lift) return closureText(w.closure, len);
  if (w.base)
    return w.falling.length
      ? `On its base circle since reading ${w.base.index + 1}: zero the dial, forward to ${w.closure?.next.length ? stopsText(w.closure, len) : 'the lift'}`
      : null;
  return w.falling.length ? 'Still falling: back the crank further until it stands still' : null;
}

const stopsText = ({ next }: ClosureWork, len: LengthText): string =>
  next.length > 1 ? `${list(next.map((mm) => len(mm, 2)))}, lift and crank read at each` : len(next[0]!, 2);

/** Which lift comes next, where the port's closure is one figure. */
function closureText(c: ClosureWork, len: LengthText): string {
  if (c.farMm !== null)
    return `${len(c.farMm, 2)} lies too far from ${len(c.closureMm, 2)}, where the port closes: bring the crank to that lift, last moved forward, and read both again`;
  if (c.next.length === 0)
    return 'The lifts do not tell yet how the crank goes with the lift: read them once more, with a finer wheel if there is one';
  return `Forward to ${stopsText(c, len)}${c.slope ? '' : ': they tell what the dial\u2019s \u00b1 is worth in degrees'}`;
}

export function liftOpen(state: PumpState, v: StepView): string | Open | null {
  const w = liftOf(state, v);
  if (w.falling.length && !w.base && !w.lift) return 'the plunger has not come to rest: back the crank further';
  if (!w.base) return 'the base circle was not found';
  if (w.problem) return w.problem.message.replace(/\.$/, '');
  if (!w.lift) return 'no lift was read';
  if (w.standsWanted || !w.stands) return 'nobody has read where the crank stands';
  if (w.closure && !w.timing)
    return w.closure.farMm !== null
      ? 'no lift was read near the one at which the port closes'
      : 'what the dial\u2019s \u00b1 is worth in degrees is not known: read lifts below and above the closure, each with the crank';
  if (!w.timing) return 'the lift is no timing yet: what the maker\u2019s lift means, or the timing wanted, is missing';
  if (v.step.role !== 'lift-proof') return null;
  const { verdict, scatterUnknown } = w.timing;
  // the base circle was found and the slack taken up: only the timing is open
  const timing = (what: string, short: Open['short']): Open => ({ what, short, of: ['pump-timing-verified'] });
  if (w.unnamed) return timing(`nobody named the ${w.unnamed} that it was read by`, 'no-gauge');
  if (scatterUnknown)
    return timing('nothing tells how this dial scatters in this hand: read the lift again', 'undecided');
  if (!verdict) return timing('the data sheet has no limits: whether the timing is in is not known', 'undecided');
  if (verdict.state === 'in') return null;
  if (verdict.state === 'out') return timing('the timing is outside its limits', 'out');
  return timing(
    w.timing.advice === 'turn'
      ? 'the timing is outside the middle of its limits, too close to call'
      : 'the timing is too close to call',
    'undecided'
  );
}

/** The step at which the gear is freed, to set it again. */
const gearStep = (state: PumpState) =>
  state.sheet.steps.find((s) => s.sets.includes('pump-gear-loose') && s.adjusts?.includes('pump-gear'));

/** What mends a proof that is not in: the gear set again by so much, or the cycle once more. */
function mendText(state: PumpState, v: StepView, len: LengthText): string {
  const w = liftOf(state, v);
  if (w.timing!.advice === 'again') return 'Read the whole cycle once more: the crank backed, then forward to the lift';
  if (w.timing!.advice === 'limit') return 'It stands in the middle: no further cycle with these gauges decides it';
  const g = state.work.gearAgain;
  const at = gearStep(state);
  return `Open \u201c${at?.title ?? 'the step that frees the gear'}\u201d again${g ? `: ${lower(turnGearText(g, len))}` : ''}`;
}

export function liftAdvice(state: PumpState, v: StepView): Advised | null {
  const t = liftOf(state, v).timing;
  if (!t || v.step.role !== 'lift-proof') return null;
  const verdict = t.verdict?.state ?? null;
  if (verdict === 'in' || t.advice === 'limit') return { act: 'leave', verdict };
  if (t.advice !== 'turn') return { act: 'again', verdict };
  const g = state.work.gearAgain;
  return {
    act: 'reopen',
    step: gearStep(state)?.id ?? '',
    what: 'pump-gear',
    ...(g ? { amount: g.gearDeg, unit: '°', ...(g.turn ? { sense: g.turn } : {}) } : {}),
    target: state.work.liftChart.targetBtdc,
    verdict
  };
}

/** The correction as it is said to whoever holds the pump. */
export function gearText(g: GearWork, len: LengthText): string {
  const much = Math.abs(g.changeCrankDeg);
  return much <= 2 * g.uCrankDeg
    ? `${degText(much, 2)} of the crank is less than its doubt, ± ${degText(2 * g.uCrankDeg, 2)}: leave the gear`
    : turnGearText(g, len);
}

/** The correction by itself, whatever its doubt. */
function turnGearText(g: GearWork, len: LengthText): string {
  const much = Math.abs(g.changeCrankDeg);
  const sense = g.changeCrankDeg > 0 ? 'late' : 'early';
  const arc = g.arcMm === null ? '' : `, ${len(g.arcMm, 2)} at the bolts`;
  const way = g.turn ? ` ${turnWord(g.turn)} (seen from the drive end)` : ' with its run';
  const turned = g.turn || g.changeCrankDeg > 0 ? way : ' against its run';
  return `Pump ${sense} by ${degText(much, 2)} of the crank: its shaft turns${turned} ${degText(g.gearDeg, 2)} in the gear${arc}`;
}

export function gearHeadline(state: PumpState, v: StepView, len: LengthText): string | null {
  const g = state.work.gearSlot;
  if (!g) return null;
  if (v.step.role === 'drag' && g.drag)
    return Math.abs(g.drag.deg) <= 2 * g.drag.uDeg + 1e-9
      ? 'Tightening moved nothing that the dial can show'
      : `Tightening moved the timing ${degText(Math.abs(g.drag.deg))} ${g.drag.deg > 0 ? 'earlier' : 'later'}`;
  return gearText(g, len);
}

export function gearOpen(state: PumpState, v: StepView): string | null {
  const g = state.work.gearSlot;
  if (!g) return 'no timing was measured yet';
  if (v.step.role === 'drag') return g.drag ? null : 'the lift before and after tightening was not read';
  if (g.enough === false)
    return g.teeth
      ? `the slot falls ${degText(g.shortCrankDeg, 2)} of the crank short: move the gear ${Math.abs(g.teeth.move)} ${Math.abs(g.teeth.move) === 1 ? 'tooth' : 'teeth'} first`
      : `the slot falls ${degText(g.shortCrankDeg, 2)} of the crank short, and no tooth reaches it`;
  return null;
}

/** Whether a stage of torque was reached, by the last reading; words for what is open. */
function torque(state: PumpState, v: StepView): { text: string; open: string | null } | null {
  const first = v.step.slots.some((s) => s.slot === 'torque-first');
  const wanted = numberOf(state.engine, first ? 'firstTorqueNm' : 'finalTorqueNm');
  const last = lastOf(
    state.readings.filter((r) => r.step === v.step.id),
    first ? 'torque-first' : 'torque-final'
  );
  if (!last || wanted === undefined) return null;
  const what = first ? 'first torque' : 'final torque';
  const t = torqueOf(last, wanted, numberOf(state.engine, 'torqueWithinNm') ?? null);
  const then = {
    reached: '',
    unnamed: '',
    short: ': tighten on',
    over: ': loosen and begin again',
    unsure: `: read the ${what} again`
  }[t.state];
  const left = torqueLeft(t, what);
  return {
    text: torqueText(t, what) + then,
    open: t.state === 'over' && first ? `${left}, and the lock carried it` : left
  };
}
export const torqueHeadline = (state: PumpState, v: StepView): string | null => torque(state, v)?.text ?? null;
export const torqueOpen = (state: PumpState, v: StepView): string | null => torque(state, v)?.open ?? null;

export function ledgerHeadline(state: PumpState): string | null {
  const { total, crankSetBtdc } = state.work.ledger;
  if (!total) return null;
  if (total.shortDeg === null)
    return `Together ${formatTiming(total.btdc, 2)}; the timing wanted is not on the data sheet`;
  if (Math.abs(total.shortDeg) <= CLOSED_DEG) return `Together ${formatTiming(total.btdc, 2)}: the ledger closes`;
  const way = total.shortDeg > 0 ? 'short' : 'too early';
  if (state.work.ledger.offsetFrom === 'way')
    return `${degText(Math.abs(total.shortDeg), 2)} ${way} with all of it in the pump: have the pump set to ${formatTiming(total.btdc + total.shortDeg, 2)}, or share the angle with the gear`;
  return `${degText(Math.abs(total.shortDeg), 2)} ${way}: press the gear on with the crank ${degText(crankSetBtdc!, 2)} before TDC`;
}

export function ledgerOpen(state: PumpState): string | null {
  const { total, lacks } = state.work.ledger;
  if (lacks.length) return `the ledger lacks ${lacks.join(', ')}`;
  if (total && Math.abs(total.shortDeg!) > CLOSED_DEG)
    return 'pump setting and gear offset do not add up to the timing wanted';
  return state.replayed.chosen.get('ledger-read') === 'two'
    ? null
    : 'one person alone has read the ledger: a second adds it up';
}

export function proofHeadline(state: PumpState, v: StepView): string | null {
  const p = state.work.proofs[v.step.id]!;
  if (p.offDeg === null) return null;
  const believe = whichToBelieve(...lockAndPin(state));
  if (believe) return believe;
  const at = `${p.what === 'pin' ? 'Pin' : 'Lock'} enters ${degText(Math.abs(p.offDeg), 2)} ${p.offDeg > 0 ? 'early' : 'late'}`;
  if (p.verdict === null) return `${at}: what it may differ by is not on the data sheet`;
  const by = `${at}, ${plusMinus(p.entered!.uDeg, 2)}°: ${VERDICT_WORD[p.verdict.state]}, ${p.verdict.state === 'in' ? '' : 'only '}\u00b1 ${p.within}° may be`;
  const stroke = p.entered!.strokeKnown
    ? ''
    : '. The wheel shows this place twice in a cycle: which stroke it is on is not known';
  if (p.verdict.state === 'in') return `${by}${stroke}`;
  if (p.verdict.state === 'unsure') return `${by}. Turn two turns forward and try it once more${stroke}`;
  return p.what === 'pin' ? `${by}${stroke}` : `${by}. ${pressAnewText(state, p.offDeg)}${stroke}`;
}

/** The step at which the gear is pressed on. */
const pressStep = (state: PumpState) => state.sheet.steps.find((s) => s.acts.includes('fits-gear'));

/** A gear that lies off its place: by how much, which way, and at which step it is pressed on anew. */
const pressAnewText = (state: PumpState, offDeg: number): string =>
  `The gear sits ${degText(Math.abs(offDeg), 2)} of the crank too ${offDeg > 0 ? 'early' : 'late'}: loosen its nut, open \u201c${pressStep(state)?.title ?? 'the step that presses the gear on'}\u201d again and press it on anew`;

/** The same as data: tried once more, or the gear pressed on anew. */
export function proofAdvice(state: PumpState, v: StepView): Advised | null {
  const p = state.work.proofs[v.step.id]!;
  if (p.offDeg === null || p.verdict === null) return null;
  const verdict = p.verdict.state;
  if (verdict === 'in') return { act: 'leave', verdict };
  if (verdict === 'unsure') return { act: 'again', slot: 'stands', verdict };
  const anew = p.what === 'lock' || /set it anew/.test(whichToBelieve(...lockAndPin(state)) ?? '');
  return anew
    ? {
        act: 'reopen',
        step: pressStep(state)?.id ?? '',
        what: 'pump-gear',
        amount: Math.abs(p.offDeg),
        sense: p.offDeg > 0 ? 'back' : 'on',
        unit: '°',
        verdict
      }
    : { act: 'again', slot: 'stands', verdict };
}

export function proofOpen(state: PumpState, v: StepView): string | null {
  const p = state.work.proofs[v.step.id]!;
  if (p.offDeg === null) return 'nobody has read where it enters';
  if (p.verdict === null) return 'what the proof may differ by is not on the data sheet';
  if (!p.entered!.strokeKnown)
    return 'which of the two strokes it entered on is not known: the wheel shows the place twice in a cycle';
  return p.verdict.state === 'in'
    ? null
    : `the ${p.what} enters ${p.verdict.state === 'out' ? 'outside its limits' : 'too close to call'}`;
}

const lockAndPin = (state: PumpState) => {
  const all = Object.values(state.work.proofs);
  return [all.find((p) => p.what === 'lock'), all.find((p) => p.what === 'pin')] as const;
};

/** Which end of its travel the dial comes to, where somebody has read that; null while it has some left. */
export function travelOpen(state: PumpState, v: StepView): string | null {
  const ends = (['spare-low', 'spare-high'] as const).filter(
    (slot) => v.step.slots.some((s) => s.slot === slot) && (lastOf(state.readings, slot)?.value ?? 1) <= 0
  );
  if (ends.length === 0) return null;
  return `the dial has no travel left ${ends.map((e) => (e === 'spare-low' ? 'below' : 'above')).join(' and ')}: mount it anew`;
}

/** With the gear free the pump is turned until its dial shows the wanted lift, and held there. */
export function heldText(state: PumpState, v: StepView, len: LengthText): string | null {
  if (!v.step.slots.some((x) => x.slot === 'lift-held') || v.step.role === 'drag') return null;
  const held = lastOf(
    state.readings.filter((r) => r.step === v.step.id),
    'lift-held'
  );
  const wanted = state.work.liftChart.target?.liftMm;
  if (!held || wanted === undefined) return null;
  const off = wanted - held.value;
  if (Math.abs(off) <= HELD_WITHIN_MM) return `Held at ${len(held.value, 2)}, the lift that must stand`;
  const runs = choiceOf(state.engine, 'pumpDirection');
  const on =
    runs === 'cw' || runs === 'ccw'
      ? turnWord(off > 0 === (runs === 'cw') ? 'cw' : 'ccw')
      : off > 0
        ? 'on with its run'
        : 'back against its run';
  return `The dial shows ${len(held.value, 2)}, ${len(wanted, 2)} must stand: turn the pump\u2019s hub ${on}${runs ? ' (seen from the drive end)' : ''} until it does, hold it there and read it again`;
}
/** Rule of thumb: nearer than this a hand does not hold a pump to its lift. */
const HELD_WITHIN_MM = 0.05;

export function heldOpen(state: PumpState, v: StepView): string | null {
  const text = heldText(state, v, (mm) => `${mm.toFixed(2)} mm`);
  return text?.startsWith('The dial shows') ? 'the pump is not held at the lift that must stand' : null;
}

export const travelText = (state: PumpState, v: StepView): string | null => {
  const open = travelOpen(state, v);
  return open && `${open.charAt(0).toUpperCase()}${open.slice(1)}`;
};
