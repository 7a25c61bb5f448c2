import { crankPlan, type CrankPlan } from '../../../calculations/crank/crank-plan.ts';
import { mod, wrap180 } from '../../../numerics/angles.ts';
import type { CrankPlace, PlaceFrom, Travel } from './place.ts';

/** What decides which way a plan goes: school, slack, and whether the crank may be turned back. */
export interface Turning {
  cycleDeg: 360 | 720;
  approach: 'forward' | 'backUp';
  backlashDeg: number | null;
  mayReverse: boolean;
}

/** A figure this near to where a leg ends was read there, degrees. */
const NEAR_DEG = 20;
/** Another way has to fit worse by this much, or the wheel cannot tell which of them it was. */
const CLEAR_DEG = 3;
/** Read on the rise that the signs spoke of: up to so far before its TDC. */
const RISE_DEG = 150;

/** How a reading was taken: the way it was come at, and where its step brings the crank. */
export interface Read {
  move: CrankPlace['lastMove'];
  /** null where the step brings it nowhere */
  goalDeg: number | null;
  /** whole turns that the step asks for on the way */
  turnsOn: number;
  /** something that comes by once a cycle was seen there, as the lift of number one's plunger: it is the goal and no place before it */
  oncePerCycle: boolean;
}

interface Likely {
  travelDeg: number;
  from: PlaceFrom;
  lastMove: CrankPlace['lastMove'];
  /** how far from there the figure may lie without speaking against it: before and after, degrees */
  slack?: [before: number, after: number];
}

/**
 * How far the crank was turned between two readings of the wheel, which shows a figure once a turn while a cycle has two.
 * The plan that was shown decides: a figure near its end was read there, one near an earlier leg on that leg, one where
 * the crank stood before without turning. Two ways that fit alike but end on different strokes, or a figure near none of
 * them, are not decided: then what was done is asked.
 * @param last where it stood, its stroke known
 * @param wheelDeg what the wheel shows less what it shows at TDC
 */
export function understandTurn(
  last: CrankPlace & { crankDeg: number },
  wheelDeg: number,
  how: Read,
  turning: Turning
): { place: Pick<CrankPlace, 'crankDeg' | 'from' | 'lastMove'> } | { ways: Travel[] } {
  const likely = likelyTurns(last, how, turning);
  const fits = likely
    .map((l) => fitOf(l, last, wheelDeg, how.move, turning.cycleDeg))
    .sort((a, b) => a.offDeg - b.offDeg);
  const best = fits[0];
  const rival = best && fits.find((f) => Math.abs(f.crankDeg - best.crankDeg) > 180);
  const clear = best && best.offDeg <= NEAR_DEG && (!rival || rival.offDeg - best.offDeg >= CLEAR_DEG);
  if (clear) return { place: { crankDeg: best.crankDeg, from: best.from, lastMove: best.lastMove } };
  return { ways: waysTo(last.crankDeg, wheelDeg, turning) };
}

function fitOf(
  l: Likely,
  last: { crankDeg: number },
  wheelDeg: number,
  move: CrankPlace['lastMove'],
  cycleDeg: number
) {
  const off = wrap180(wheelDeg - (last.crankDeg + l.travelDeg));
  const [before, after] = l.slack ?? [0, 0];
  const offDeg = off < -before ? -before - off : off > after ? off - after : 0;
  // somebody who says that he came backward was not at the end of a move forward
  const against =
    move !== 'unknown' && l.lastMove !== 'unknown' && l.from !== 'still' && move !== l.lastMove ? NEAR_DEG / 2 : 0;
  return {
    ...l,
    offDeg: offDeg + against,
    crankDeg: mod(last.crankDeg + l.travelDeg + off, cycleDeg),
    lastMove: lastMoveOf(l, move)
  };
}

/** What moved it last: by what was said of it, or by the leg whose end it fits; backward is never taken for forward. */
function lastMoveOf(l: Likely, move: CrankPlace['lastMove']): CrankPlace['lastMove'] {
  if (l.from === 'still') return move === 'forward' ? l.lastMove : move;
  return l.lastMove === 'backward' ? 'backward' : move;
}

/** Where a reading may have been taken: where the crank stood, on the rise that was felt, at the end of each leg asked for. */
function likelyTurns(last: CrankPlace & { crankDeg: number }, how: Read, t: Turning): Likely[] {
  const out: Likely[] = [];
  if (how.oncePerCycle && how.goalDeg !== null)
    return [{ travelDeg: mod(how.goalDeg - last.crankDeg, t.cycleDeg), from: 'end', lastMove: 'forward' }];
  const rise = last.riseTo === null ? null : mod(last.riseTo - last.crankDeg, t.cycleDeg);
  if (rise !== null) out.push({ travelDeg: rise, from: 'rise', lastMove: 'forward', slack: [RISE_DEG, 5] });
  // the signs spoke of a rise further on: it cannot have stood still
  if (rise === null || rise <= 360) out.push({ travelDeg: 0, from: 'still', lastMove: last.lastMove });
  if (how.goalDeg === null) return out;
  if (how.turnsOn > 0) {
    const on = 360 * how.turnsOn + mod(how.goalDeg - last.crankDeg, t.cycleDeg);
    return [...out, { travelDeg: on, from: 'end', lastMove: 'forward' }];
  }
  const plan = planFrom(last, how.goalDeg, t);
  let travelDeg = 0;
  for (const [k, s] of plan.steps.entries()) {
    travelDeg += s.move === 'forward' ? s.degrees : -s.degrees;
    out.push({ travelDeg, from: k === plan.steps.length - 1 ? 'end' : 'leg', lastMove: s.move });
  }
  return out;
}

/** The plan as it was shown from a place, as far as it decides how far the crank turns. */
export const planFrom = (last: CrankPlace & { crankDeg: number }, goalDeg: number, t: Turning): CrankPlan =>
  crankPlan({
    ...t,
    currentDeg: last.crankDeg,
    targetDeg: goalDeg,
    strokeKnown: last.strokeKnown,
    lastMove: last.lastMove,
    runningDirection: 'cw',
    view: 'front'
  });

/** The ways that end where the wheel stands: on by less than a turn, on once round more, and back where that is allowed. */
export function waysTo(fromDeg: number, wheelDeg: number, { cycleDeg, mayReverse }: Turning): Travel[] {
  const on = mod(wheelDeg - fromDeg, 360);
  const travels = [on, ...(cycleDeg === 720 ? [on + 360] : []), ...(mayReverse && on > 0 ? [on - 360] : [])];
  return travels.map((travelDeg) => ({ travelDeg, crankDeg: mod(fromDeg + travelDeg, cycleDeg) }));
}
