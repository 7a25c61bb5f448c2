import { mod, wrap180, wrap360 } from '../../numerics/angles.ts';
import { crankPlan, type CrankPlan, type PlanStep } from '../../calculations/crank/crank-plan.ts';
import { cycleDegOf, type Engine } from '../../engine/engine.ts';
import { gaugeOf } from '../../job/readings.ts';
import { degText, turnWord } from '../../job/texts.ts';
import { formatTiming } from '../../units/format.ts';
import type { Step } from '../../job/run-sheet.ts';
import { goalOf } from './place/goal.ts';
import type { CrankPlace, TurnsAsked } from './place/place.ts';
import { turningOf } from './place/turning.ts';
import { waysTo } from './place/turns.ts';
import type { MarkError } from './mark-work.ts';
import { choiceOf, numberOf } from './vocabulary.ts';
import type { CrankState } from './works.ts';

export type View = 'front' | 'rear';

/** A place in the cycle: `7.0° before firing TDC`, `14.2° after overlap TDC`. */
export function placeText(place: CrankPlace, cycleDeg: number): string {
  if (place.crankDeg === null) return 'crank not placed';
  const half = place.strokeKnown ? cycleDeg : 360;
  const d = mod(place.crankDeg, half);
  const nearest = Math.round(d / 360) * 360;
  const off = d - nearest;
  const which = tdcName(place, nearest, cycleDeg);
  if (Math.abs(off) < 0.05) return `at ${which}`;
  return `${degText(Math.abs(off))} ${off < 0 ? 'before' : 'after'} ${which}`;
}

/** What a TDC of the cycle is called: while the stroke is not proved nobody knows which of the two it is. */
function tdcName(place: CrankPlace, tdcDeg: number, cycleDeg: number): string {
  if (cycleDeg === 360) return 'TDC';
  if (!place.strokeKnown) return 'a TDC';
  return tdcDeg % 720 === 0 ? 'firing TDC' : 'overlap TDC';
}

/** Where the crank is to go: a place in the cycle and what it is called at the end of a sentence. */
export interface CrankTarget {
  deg: number;
  name: string;
  /** a place on either TDC will do: the stroke does not matter */
  eitherTdc: boolean;
  /** whole turns on the way there, at least */
  turnsOn?: number;
  /** what the degree wheel shows there; left out while true TDC is not found */
  wheelDeg?: number;
  /** it lies behind a positive stop: come at from the other side, back round nearly a turn */
  pastStop?: true;
}

/** Where the work wants the crank next: the next reading of a pair while TDC is sought, else the sheet's reference. */
export function crankTarget(
  state: CrankState,
  step: Pick<Step, 'goal' | 'surface' | 'turnsOn'>,
  cycleDeg: number
): CrankTarget | null {
  const target = placeWanted(state, step, cycleDeg);
  // a hand that is told what it will read reads that: while TDC is sought nothing is said of the wheel
  const found = target && step.surface !== 'tdc' ? state.work.tdc.found : null;
  return target && found ? { ...target, wheelDeg: wrap360(found.tdcWheelDeg + target.deg) } : target;
}

function placeWanted(
  state: CrankState,
  step: Pick<Step, 'goal' | 'surface' | 'turnsOn'>,
  cycleDeg: number
): CrankTarget | null {
  if (step.surface === 'tdc') {
    const { found, rows, nextSlot, method } = state.work.tdc;
    const seen = rows.flatMap((r) => (nextSlot === 'before' ? r.before : r.after) ?? []);
    if (!found || nextSlot === 'depth' || seen.length === 0) return null;
    const off = seen.reduce((t, r) => t + wrap180(r.value - found.tdcWheelDeg), 0) / seen.length;
    return {
      deg: off,
      name: `to the reading ${nextSlot} the top`,
      eitherTdc: true,
      ...(method === 'stop' && nextSlot === 'after' ? { pastStop: true } : {})
    };
  }
  const goal = goalOf(step);
  if (goal === 'tdc') return { deg: 0, name: 'to true TDC', eitherTdc: true };
  const on = step.turnsOn ? { turnsOn: step.turnsOn } : {};
  const firing = () => tdcName(state.work.crank, 0, cycleDeg);
  if (goal === 'firing-tdc') return { deg: 0, name: `to ${firing()}`, eitherTdc: false, ...on };
  // a run sheet that never brings the crank to a reference has no use for a way there
  const { reference } = state;
  if (reference === null || !state.sheet.steps.some((s) => s.acts.includes('reaches-reference') || goalOf(s)))
    return null;
  const timing = formatTiming(reference, Number.isInteger(reference) ? 0 : 1);
  const name = timing === 'TDC' ? `to ${firing()}` : `to ${timing} ${firing()}`;
  return { deg: -reference, name, eitherTdc: false, ...on };
}

/** The ways the crank may have gone before a reading that placed it; null where it stood nowhere known before. */
export function waysInto(state: CrankState, readingId: string): TurnsAsked | null {
  const { tdc, placeAt } = state.work;
  const reading = state.readings.find((r) => r.id === readingId);
  const before = reading && placeAt(reading.seq - 1);
  if (!reading || !tdc.found || !before || before.crankDeg === null || !before.strokeKnown) return null;
  const turning = turningOf(state.engine, state.replayed, 'backUp');
  const ways = waysTo(before.crankDeg, reading.value - tdc.found.tdcWheelDeg, turning);
  return { reading: readingId, fromDeg: before.crankDeg, ways };
}

/** The plan from where the crank is to a target, for someone who looks at the given end; null without what it needs. */
export function planTo(
  target: CrankTarget | null,
  state: CrankState,
  engine: Engine,
  view: View,
  from: CrankPlace = state.work.crank
): CrankPlan | null {
  const runningDirection = choiceOf(engine, 'runningDirection');
  if (from.crankDeg === null || target === null) return null;
  if (runningDirection !== 'cw' && runningDirection !== 'ccw') return null;
  if (isThere(target, state, engine, from)) return { steps: [], totalDeg: 0, thenCheckStroke: false };
  const ringGearTeeth = numberOf(engine, 'ringGearTeeth');
  const approach = state.schools.overshoot.option === 'forward' || target.turnsOn ? 'forward' : 'backUp';
  return crankPlan({
    ...turningOf(engine, state.replayed, approach),
    currentDeg: from.crankDeg,
    targetDeg: target.deg,
    strokeKnown: from.strokeKnown && !target.eitherTdc,
    lastMove: from.lastMove,
    runningDirection,
    view,
    ...(target.turnsOn ? { turnsOn: target.turnsOn } : {}),
    ...(target.pastStop ? { backOnly: true } : {}),
    ...(ringGearTeeth === undefined ? {} : { ringGearTeeth })
  });
}

/**
 * Whether the crank was read where it is wanted, last moved forward: within half a division of the wheel and what this hand
 * scatters with it. Turning it again would end no nearer.
 */
function isThere(target: CrankTarget, state: CrankState, engine: Engine, from: CrankPlace): boolean {
  if (from.reading === null || from.lastMove !== 'forward' || target.turnsOn) return false;
  const read = state.readings.find((r) => r.id === from.reading);
  const wheel = read && gaugeOf(read);
  const period = from.strokeKnown && !target.eitherTdc ? cycleDegOf(engine) : 360;
  const off = mod(from.crankDeg! - target.deg, period);
  const may = (wheel?.resolution ?? 0) / 2 + (wheel?.scatter ?? 0);
  return Math.min(off, period - off) <= may + 1e-9 && (from.strokeKnown || target.eitherTdc);
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
      `${target.name}${target.wheelDeg === undefined ? '' : `, where the wheel shows ${degText(target.wheelDeg)}`}${plan.thenCheckStroke && !target.eitherTdc ? ', then tell the strokes apart' : ''}`,
      cycleDeg
    );
  });
}

/** What the mark is worth, in a sentence. */
export function markFinding({ errorDeg, uDeg, since }: MarkError): string {
  if (since?.moved)
    return `The mark has moved ${Math.abs(since.movedByDeg).toFixed(1)}° since it was last proved: the damper\u2019s ring may have slipped`;
  if (Math.abs(errorDeg) <= 2 * uDeg) return 'The mark agrees with true TDC, as far as can be seen';
  return `The mark stands ${Math.abs(errorDeg).toFixed(1)}° ${errorDeg > 0 ? 'early' : 'late'}: take that off every reading`;
}
