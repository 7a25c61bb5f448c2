import { mod, wrap180 } from '../numerics/angles.ts';
import { crankPlan, type CrankPlan, type PlanStep, type Turn } from '../calculations/crank/crank-plan.ts';
import type { Dwell } from '../calculations/tdc/tdc-dwell.ts';
import { choiceOf, cycleDegOf, numberOf, type Engine } from '../engine/engine.ts';
import { flags } from '../sheets/flags.ts';
import { formatTiming } from '../units/format.ts';
import { wordsOf } from './domain.ts';
import type { MarkError } from '../domains/crank/mark-work.ts';
import type { CrankPlace } from '../domains/crank/crank-place.ts';
import { missingValues, type JobState, type StepView } from './state.ts';
import type { SettingRow, TimingWork } from '../domains/timing/timing-work.ts';

/** How a length is written for the person who reads it. */
export type LengthText = (mm: number, decimals?: number) => string;
export type View = 'front' | 'rear';

/** A length with its ± of two standard uncertainties, the unit once: `0.165 ± 0.025 mm`. */
export function lengthPm(len: LengthText, mm: number, u: number, decimals = 3): string {
  const [, figure, unit] = /^(.*\d)(\D*)$/.exec(len(mm, decimals))!;
  return `${figure} ± ${len(2 * u, decimals).replace(/\D*$/, '')}${unit}`;
}

/** Limits in the unit of whoever reads them, the unit once: `0.12 to 0.22 mm`. */
export function lengthLimits(len: LengthText, min: number | null, max: number | null, decimals = 2): string {
  if (min !== null && max !== null) return `${len(min, decimals).replace(/\D*$/, '')} to ${len(max, decimals)}`;
  if (min !== null) return `${len(min, decimals)} or more`;
  return max !== null ? `${len(max, decimals)} or less` : 'no limit on the data sheet';
}

export const turnWord = (t: Turn): string => (t === 'cw' ? 'clockwise' : 'anticlockwise');
/** A probability in words: never a hundred per cent. */
export const percent = (p: number): string =>
  p > 0.9995 ? 'over 99.9 %' : p < 0.0005 ? 'under 0.1 %' : `${(p * 100).toFixed(1)} %`;
export const degText = (d: number, decimals = 1): string => `${d.toFixed(decimals)}°`;
/** ± is two standard uncertainties, everywhere. */
export const plusMinus = (u: number, decimals = 2): string => `± ${(2 * u).toFixed(decimals)}`;

/** A place in the cycle: `7.0° before firing TDC`, `14.2° after overlap TDC`. */
export function placeText(place: CrankPlace, cycleDeg: number): string {
  if (place.crankDeg === null) return 'crank not placed';
  const half = place.strokeKnown ? cycleDeg : 360;
  const d = mod(place.crankDeg, half);
  const nearest = Math.round(d / 360) * 360;
  const off = d - nearest;
  const which =
    cycleDeg === 360 ? 'TDC' : !place.strokeKnown ? 'a TDC' : nearest % 720 === 0 ? 'firing TDC' : 'overlap TDC';
  if (Math.abs(off) < 0.05) return `at ${which}`;
  return `${degText(Math.abs(off))} ${off < 0 ? 'before' : 'after'} ${which}`;
}

/** Where the crank is to go: a place in the cycle and what it is called at the end of a sentence. */
export interface CrankTarget {
  deg: number;
  name: string;
  /** a place on either TDC will do: the stroke does not matter */
  eitherTdc: boolean;
}

/** Where the work wants the crank next: the next reading of a pair while TDC is sought, else the initial setting. */
export function crankTarget(state: JobState, step: { surface: string }): CrankTarget | null {
  if (step.surface === 'tdc') {
    const { found, rows, nextSlot } = state.tdc;
    const seen = rows.flatMap((r) => (nextSlot === 'before' ? r.before : r.after) ?? []);
    if (!found || nextSlot === 'depth' || seen.length === 0) return null;
    const off = seen.reduce((t, r) => t + wrap180(r.value - found.tdcWheelDeg), 0) / seen.length;
    return { deg: off, name: `to the reading ${nextSlot} the top`, eitherTdc: true };
  }
  if (step.surface === 'scale') return { deg: 0, name: 'to true TDC', eitherTdc: true };
  // a run sheet that never sets the crank to the initial timing has no use for a way there
  if (state.targetBtdc === null || !state.sheet.steps.some((s) => s.surface === 'plan')) return null;
  return {
    deg: -state.targetBtdc,
    name: `to ${formatTiming(state.targetBtdc, decimalsOf(state.targetBtdc))}`,
    eitherTdc: false
  };
}

/** The plan from where the crank is to a target, for someone who looks at the given end; null without what it needs. */
export function planTo(
  target: CrankTarget | null,
  state: JobState,
  engine: Engine,
  view: View,
  from: CrankPlace = state.crank
): CrankPlan | null {
  const backlashDeg = numberOf(engine, 'backlashDeg');
  const runningDirection = choiceOf(engine, 'runningDirection');
  if (from.crankDeg === null || target === null || backlashDeg === undefined) return null;
  if (runningDirection !== 'cw' && runningDirection !== 'ccw') return null;
  const ringGearTeeth = numberOf(engine, 'ringGearTeeth');
  return crankPlan({
    cycleDeg: cycleDegOf(engine),
    currentDeg: from.crankDeg,
    targetDeg: target.deg,
    strokeKnown: from.strokeKnown && !target.eitherTdc,
    approach: state.schools.overshoot.option === 'forward' ? 'forward' : 'backUp',
    backlashDeg,
    lastMove: from.lastMove,
    runningDirection,
    view,
    ...(ringGearTeeth === undefined ? {} : { ringGearTeeth })
  });
}

/** One move of a plan as it is said to the person at the crank. */
export function moveText(step: PlanStep, view: View, to: string, cycleDeg: number): string {
  const passes = step.passes
    .map((p) =>
      cycleDeg === 360
        ? 'past TDC'
        : p === 0
          ? 'past firing TDC'
          : 'past the overlap TDC, where the mark comes up too: not that one'
    )
    .join(', ');
  const teeth = step.ringTeeth === undefined ? '' : ` (${step.ringTeeth.toFixed(1)} ring-gear teeth)`;
  return `Turn ${turnWord(step.turn)} (seen from the ${view}) ${degText(step.degrees)}${teeth}, ${passes ? passes + ', ' : ''}${to}.`;
}

/** The whole plan, a sentence a move. */
export function planText(plan: CrankPlan, view: View, target: CrankTarget, cycleDeg = 720): string[] {
  if (plan.steps.length === 0)
    return [`The crank stands where it is wanted, ${target.name.replace(/^to /, 'at ')}. Leave it.`];
  return plan.steps.map((s, k) => {
    const last = k === plan.steps.length - 1;
    if (!last) return moveText(s, view, 'well past the target', cycleDeg);
    return moveText(
      s,
      view,
      `${target.name}${plan.thenCheckStroke && !target.eitherTdc ? ', then tell the strokes apart' : ''}`,
      cycleDeg
    );
  });
}

const decimalsOf = (x: number): number => (Number.isInteger(x) ? 0 : 1);

/** How far past the target the crank stands, when it has just been passed; null when it has not. */
export function passedBy(target: CrankTarget | null, place: CrankPlace, cycleDeg: number): number | null {
  if (!target || place.crankDeg === null) return null;
  const past = mod(
    place.crankDeg - target.deg,
    place.strokeKnown && !target.eitherTdc ? cycleDeg : Math.min(360, cycleDeg)
  );
  return past > 0.05 && past <= JUST_PASSED_DEG ? past : null;
}
const JUST_PASSED_DEG = 60;

/** What to do about having passed the target, in the school chosen. Passing it is ordinary: only stepping back a little is wrong. */
export function passedText(pastDeg: number, school: string, backlashDeg: number): string {
  const past = `You are ${degText(pastDeg)} past it.`;
  return school === 'forward'
    ? `${past} Do not step back onto it: go on forward and round again.`
    : `${past} Do not step back onto it: go back ${degText(pastDeg + backlashDeg)}, well beyond all slack, then come forward ${degText(backlashDeg)}.`;
}

/** How the housing must be turned for a reading: `Turn the housing anticlockwise (from above) 1.4°, 1.01 mm at the rim`. */
export function housingText(row: SettingRow, len: LengthText): string | null {
  const m = row.move;
  if (!m) return null;
  if (m.turn === 'none') return 'The housing stands right. Leave it.';
  const rim = m.rimMm === undefined ? '' : `, ${len(m.rimMm, 2)} at the rim`;
  return `Turn the housing ${turnWord(m.turn)} (from above) ${m.housingDeg.toFixed(2)}°${rim}`;
}

/** What a value of the data sheet is called. */
const labelOf = (state: JobState, name: string): string => state.sheet.labels?.[name] ?? name;

/** The one sentence at the top of the work surface: a finding or an instruction, never the name of the screen. */
export function headline(state: JobState, engine: Engine, v: StepView, len: LengthText): string {
  const lacks = missingValues(v.step, engine);
  if (lacks.length > 0 && v.state !== 'done') return `Enter ${list(lacks.map((n) => lower(labelOf(state, n))))}`;
  switch (v.step.surface) {
    case 'tdc':
      return tdcHeadline(state, v, len);
    case 'mark':
      return state.mark ? markFinding(state.mark) : v.step.say;
    case 'strokes':
      return strokesHeadline(state, v);
    case 'timing':
      return timingHeadline(state.timing[v.step.id]!, v, len);
    default:
      return wordsOf(v.step.surface).headline?.(state, v, len) ?? v.step.say;
  }
}

function tdcHeadline(state: JobState, v: StepView, len: LengthText): string {
  const t = state.tdc;
  const found = t.found ? `True TDC is where the wheel reads ${degText(t.found.tdcWheelDeg, 2)}` : null;
  if (v.state === 'done' && found) return found;
  if (t.fit?.bottomed) return 'The dial seems to have come to the end of its travel';
  switch (t.method) {
    case 'pairs':
    case 'stop':
      return pairsHeadline(state, found, len);
    case 'fit':
      return fitHeadline(state, found);
    case 'highest':
    case 'rod':
      if (t.nextSlot === 'top-dial') return 'Turn to where the dial stands highest and read it';
      return found ? `${found}, give or take the flat top` : 'Read the wheel where the piston stands highest';
    case 'mark':
      return found ?? 'No earlier job has proved this mark: choose another way';
  }
}

function pairsHeadline(state: JobState, found: string | null, len: LengthText): string {
  const t = state.tdc;
  const depth = t.method === 'stop' ? ' against the stop' : t.depth ? ` at ${len(t.depth.value, 2)} down` : '';
  if (t.nextSlot === 'after') return `Read the wheel after the top, to finish pair ${t.rows.length}`;
  if (t.rows.some((r) => r.error)) return 'One pair looks swapped: look at it first';
  const pulls = t.rows.filter((r) => r.farOff).map((r) => r.n);
  if (pulls.length > 0)
    return pulls.length === 1
      ? `Pair ${pulls[0]} lies far off: has the wheel slipped?`
      : 'The two pairs disagree: has the wheel slipped?';
  if (t.verdict && t.verdict.state !== 'in') return `Take one more pair${depth}`;
  if (found && t.rows.length < 3)
    return `Take ${t.rows.length === 1 ? 'two more pairs' : 'one more pair'}${depth}, or go on`;
  return found ?? `Read the wheel at equal depth${depth}, before and after the top`;
}

function fitHeadline(state: JobState, found: string | null): string {
  const t = state.tdc;
  const n = t.fit!.rows.length;
  if (t.nextSlot === 'fit-dial')
    return `Read the dial where the wheel shows ${degText(t.fit!.rows[n - 1]!.wheel.value)}`;
  if (t.error?.code === 'one-sided') return 'Take readings on the other side of the top too';
  if (n < 3)
    return n === 0
      ? 'Read wheel and dial together at many places, on both sides of the top'
      : `Take ${3 - n} more at least, on both sides`;
  if (t.verdict && t.verdict.state !== 'in') return 'Take more readings, further from the top';
  return found ?? 'Read wheel and dial together at many places, on both sides of the top';
}

/** What the mark is worth, in a sentence. */
export function markFinding({ errorDeg, uDeg, since }: MarkError): string {
  if (since?.moved)
    return `The mark has moved ${Math.abs(since.movedByDeg).toFixed(1)}° since ${since.earlier.at.slice(0, 10)}: the damper\u2019s ring may have slipped`;
  if (Math.abs(errorDeg) <= 2 * uDeg) return 'The mark agrees with true TDC, as far as can be seen';
  return `The mark stands ${Math.abs(errorDeg).toFixed(1)}° ${errorDeg > 0 ? 'early' : 'late'}: take that off every reading`;
}

function strokesHeadline(state: JobState, v: StepView): string {
  const e = state.evidence;
  if (!e || (state.replayed.signsStale && v.state !== 'done')) return v.step.say;
  if (e.contradictory) return 'The signs contradict each other: check one of them again';
  if (e.state === 'unsure') return 'Too close to call: give one more sign';
  const stroke = e.state === 'compression' ? 'compression' : 'exhaust';
  return state.signs.length < 2
    ? `Probably ${stroke}: one sign is provisional, add a second`
    : `The coming rise is ${stroke}`;
}

function timingHeadline(t: TimingWork, v: StepView, len: LengthText): string {
  if (!t.latest) return v.step.say;
  const state = t.latest.verdict?.state;
  if (state === 'in') return `In: ${formatTiming(t.latest.btdc)} with the mark\u2019s error taken off`;
  if (state === 'unsure') return 'Too close to call: read it once more without turning the housing';
  return housingText(t.latest, len) ?? v.step.say;
}

export interface FloorLine {
  next: string;
  waits: 'ready' | 'helper' | 'value' | 'lock' | 'signed';
  waitsText: string;
  rank: number;
}

/** A job as a line of the floor: what comes next and what it waits for; `rank` sorts what can be done now first. */
export function floorLine(state: JobState, engine: Engine): FloorLine {
  if (state.current === null)
    return { next: 'Nothing left to do: print the card', waits: 'signed', waitsText: 'done', rank: 4 };
  const v = state.steps[state.current]!;
  const next = headline(state, engine, v, (mm, d = 2) => `${mm.toFixed(d)} mm`);
  const lacks = missingValues(v.step, engine);
  if (lacks.length > 0) {
    const what = list(lacks.map((n) => lower(labelOf(state, n))));
    return { next, waits: 'value', waitsText: `waits for the data sheet: ${what}`, rank: 2 };
  }
  if (v.state === 'blocked') {
    const needs = [...v.missing.map((f) => flags[f].off), ...v.stillOn.map((f) => flags[f].on)];
    return { next, waits: 'lock', waitsText: `held: ${list(needs)}`, rank: 3 };
  }
  if (v.step.helper === 'yes') return { next, waits: 'helper', waitsText: 'needs a helper', rank: 1 };
  return { next, waits: 'ready', waitsText: 'ready: you, at the engine', rank: 0 };
}

export function list(words: string[]): string {
  if (words.length < 2) return words.join('');
  return `${words.slice(0, -1).join(', ')} and ${words[words.length - 1]}`;
}

const lower = (s: string): string => s.charAt(0).toLowerCase() + s.slice(1);

/** Why the recommended depth, or why none is good enough. */
export function dwellText(d: Dwell, len: LengthText): string {
  const flat = `This dial sees nothing move over ${degText(d.dwellDeg)} about the top.`;
  if (d.recommended)
    return `${flat} Read at ${len(d.recommended.dropMm, 2)} down (${d.recommended.angleDeg}° before): a pair then reaches ${plusMinus(d.recommended.uDeg)}°.`;
  return `${flat} ${d.reason === 'wheel-too-coarse' ? 'The wheel is too coarse for a good pair at any depth.' : 'The dial is too coarse: take a finer one or a positive stop.'}`;
}
