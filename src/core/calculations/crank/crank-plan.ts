import type { z } from 'zod';
import { EPS, mod } from '../../numerics/angles.ts';
import type { crankPlanInput } from './schemas.ts';

export type Turn = 'cw' | 'ccw';
export interface PlanStep {
  move: 'forward' | 'backward';
  turn: Turn;
  degrees: number;
  fromDeg: number;
  toDeg: number;
  passes: number[];
  ringTeeth?: number;
}
export interface CrankPlan {
  steps: PlanStep[];
  totalDeg: number;
  thenCheckStroke: boolean;
}
type Input = z.infer<typeof crankPlanInput>;

/** Slack is told, not known: half as much again and two degrees more are taken up. Our own assumption. */
const SLACK_FACTOR = 1.5;
const SLACK_MORE_DEG = 2;
/** Rule of thumb for a drive whose slack nobody knows: an eighth of a turn. */
export const UNKNOWN_SLACK_DEG = 45;
/** A back-up route that turns back this far or farther is never proposed. */
const MOST_BACK_DEG = 180;
/**
 * How far back beyond the target a slack is allowed for, degrees; nothing where there is none.
 * @param backlashDeg the slack as the data sheet has it; null: not known, and a rule of thumb takes its place
 */
export const slackTaken = (backlashDeg: number | null): number =>
  backlashDeg === null ? UNKNOWN_SLACK_DEG : backlashDeg > 0 ? SLACK_FACTOR * backlashDeg + SLACK_MORE_DEG : 0;

/**
 * How to turn the crank from where it is to a target so that the last move is in the running direction and the
 * drive's slack is taken up. Forward only: on to the target, a whole period further if slack would remain. With
 * `backUp`: back past the target by more than the slack, then forward by as much; the shorter travel wins, a tie goes forward.
 * Never back by half a turn or more, and not back at all where \`mayReverse\` is false.
 * While the stroke is not known the target is reached modulo one turn, and the strokes are told apart there.
 * @returns steps with the turn as seen from `view`, the TDCs passed on the way (0 firing, 360 overlap) and,
 * with a ring gear, the teeth to bar
 */
export function crankPlan(i: Input): CrankPlan {
  const period = i.strokeKnown ? i.cycleDeg : Math.min(360, i.cycleDeg);
  const thenCheckStroke = !i.strokeKnown && i.cycleDeg === 720;
  if (i.backOnly) {
    const travel = -mod(i.currentDeg - i.targetDeg, 360);
    return {
      steps: travel === 0 ? [] : [step(i, i.currentDeg, travel, thenCheckStroke)],
      totalDeg: -travel,
      thenCheckStroke
    };
  }
  let forward = mod(i.targetDeg - i.currentDeg, period);
  const slack = slackTaken(i.backlashDeg);
  if (!i.turnsOn && i.lastMove !== 'forward' && forward < slack - EPS) forward += period;
  forward += 360 * (i.turnsOn ?? 0);
  if (forward === 0) return { steps: [], totalDeg: 0, thenCheckStroke };
  const back = mod(i.currentDeg - i.targetDeg, period) + slack;
  const allowed = i.approach === 'backUp' && i.mayReverse !== false && slack > 0 && back < MOST_BACK_DEG - EPS;
  const backUp = allowed && back + slack < forward - EPS;
  const travels = backUp ? [-back, slack] : [forward];
  const steps: PlanStep[] = [];
  let at = i.currentDeg;
  for (const travel of travels) {
    steps.push(step(i, at, travel, thenCheckStroke));
    at += travel;
  }
  return { steps, totalDeg: travels.reduce((t, x) => t + Math.abs(x), 0), thenCheckStroke };
}

function step(i: Input, fromDeg: number, travel: number, strokeOpen: boolean): PlanStep {
  const move = travel > 0 ? 'forward' : 'backward';
  return {
    move,
    turn: turnSeenFrom(i.view, i.runningDirection, move),
    degrees: Math.abs(travel),
    fromDeg: mod(fromDeg, i.cycleDeg),
    toDeg: mod(fromDeg + travel, i.cycleDeg),
    passes: strokeOpen ? [] : tdcsInside(fromDeg, fromDeg + travel, i.cycleDeg),
    ...(i.ringGearTeeth === undefined ? {} : { ringTeeth: (Math.abs(travel) * i.ringGearTeeth) / 360 })
  };
}

/** Clockwise or anticlockwise as seen from the given end; `runningDirection` is the crank's from the front. */
export function turnSeenFrom(view: 'front' | 'rear', runningDirection: Turn, move: 'forward' | 'backward'): Turn {
  const flips = (view === 'rear' ? 1 : 0) + (move === 'backward' ? 1 : 0) + (runningDirection === 'ccw' ? 1 : 0);
  return flips % 2 === 0 ? 'cw' : 'ccw';
}

/** Every TDC strictly between two positions, in the order in which it is passed, as its place in the cycle. */
function tdcsInside(from: number, to: number, cycleDeg: number): number[] {
  const low = Math.min(from, to) + EPS;
  const high = Math.max(from, to) - EPS;
  const found: number[] = [];
  for (let t = Math.ceil(low / 360) * 360; t < high; t += 360) found.push(mod(t, cycleDeg));
  return to < from ? found.reverse() : found;
}
