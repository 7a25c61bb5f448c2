import { stackMove } from '../../calculations/stack/stack-move.ts';
import { verdict, verdictOrNone, type VerdictState } from '../../calculations/verdict/verdict.ts';
import type { Engine } from '../../engine/engine.ts';
import { numberOf } from './vocabulary.ts';
import type { PatchRow } from './patch-work.ts';
import { lengthLimits, type LengthText } from '../../job/texts.ts';
import { hotOf, type StackWork } from './stack-work.ts';
import { wanderOf } from './wander.ts';

/** Changes to the stack that are tried before anything is cut or taken. Lengths in mm. */
export interface Trial {
  /** packing under the pedestal, more than is in now */
  packingMm: number;
  /** gasket in or left out */
  gasket: boolean;
  /** the mounting collar turned down by this: the distributor sits that much deeper */
  collarMm: number;
  /** shims put between housing and gear: they take up float and set the gear deeper */
  shimMm: number;
}
export const NO_TRIAL: Trial = { packingMm: 0, gasket: true, collarMm: 0, shimMm: 0 };

export interface Line {
  key: 'float' | 'engagement' | 'clearance' | 'patch' | 'wander' | 'hot';
  label: string;
  unit: 'mm' | 'deg' | '%';
  now: number;
  then: number;
  u: number | null;
  limit: string;
  stateNow: VerdictState | null;
  stateThen: VerdictState | null;
  /** it was in limits, or close, and is out now */
  fallsOut: boolean;
}

/**
 * The stack with a trial change: every figure as it is and as it would be, with what newly falls out of limits.
 * What moves what. A packing under a pedestal adds float. A collar turned down, or a gasket left out, sets the whole
 * distributor deeper: engagement grows, clearance shrinks, the contact on the tooth climbs (stack.move). A shim between
 * housing and gear takes up float and sets the gear deeper by its thickness, counted with the gear drawn up against it.
 */
export function whatIf(engine: Engine, w: StackWork, patch: PatchRow | null, trial: Trial, len: LengthText): Line[] {
  const lines: Line[] = [];
  const ratio = numberOf(engine, 'ratio');
  const gasketMm = trial.gasket ? 0 : (w.gasket?.value ?? 0);
  const deeper = trial.collarMm + gasketMm;
  const add = (l: Omit<Line, 'fallsOut'>) =>
    lines.push({ ...l, fallsOut: l.stateThen === 'out' && l.stateNow !== 'out' });
  const floatThen = w.float ? w.float.mm + trial.packingMm - trial.shimMm : null;
  if (w.float && floatThen !== null)
    add({
      key: 'float',
      label: 'End float',
      unit: 'mm',
      now: w.float.mm,
      then: floatThen,
      u: w.float.uMm,
      limit: lengthLimits(len, w.minMm, w.maxMm),
      stateNow: w.float.verdict?.state ?? null,
      stateThen: w.minMm === null && w.maxMm === null ? null : verdict(floatThen, w.float.uMm, w.minMm, w.maxMm).state
    });
  const e = w.engagement;
  if (e) {
    const moved = stackMove({
      deeperMm: deeper,
      engagementMm: e.engagementMm,
      clearanceMm: e.clearanceMm ?? 0,
      contactFraction: patch?.pattern?.centreFraction ?? 0.5,
      faceWidthMm: w.faceMm ?? 1
    });
    const min = numberOf(engine, 'minEngagementMm') ?? null;
    const least = numberOf(engine, 'minClearanceMm') ?? 0;
    add({
      key: 'engagement',
      label: 'Oil-pump drive engaged',
      unit: 'mm',
      now: e.engagementMm,
      then: moved.engagementMm,
      u: e.uMm,
      limit: lengthLimits(len, min, null),
      stateNow: e.verdict?.state ?? null,
      stateThen: verdictOrNone(moved.engagementMm, e.uMm, min, null)?.state ?? null
    });
    if (e.clearanceMm !== undefined)
      add({
        key: 'clearance',
        label: 'Left before it bottoms',
        unit: 'mm',
        now: e.clearanceMm,
        then: moved.clearanceMm,
        u: e.uMm,
        limit: lengthLimits(len, least, null),
        stateNow: e.clearanceVerdict!.state,
        stateThen: verdict(moved.clearanceMm, e.uMm, least, null).state
      });
  }
  if (patch?.pattern && w.faceMm) {
    const then = patch.pattern.centreFraction + (deeper + trial.shimMm) / w.faceMm;
    const length = patch.pattern.lengthFraction;
    add({
      key: 'patch',
      label: 'Contact on the tooth, centre',
      unit: '%',
      now: patch.pattern.centreFraction * 100,
      then: then * 100,
      u: null,
      limit: '40 to 60 %, no edge',
      stateNow: patchState(patch.pattern.centreFraction, length),
      stateThen: patchState(then, length)
    });
  }
  const before = w.float ? wanderOf(engine, w.float.mm) : null;
  const after = floatThen === null ? null : wanderOf(engine, floatThen);
  if (before && after)
    add({
      key: 'wander',
      label: 'Timing wanders by float and backlash',
      unit: 'deg',
      now: before.totalCrankDeg,
      then: after.totalCrankDeg,
      u: null,
      limit: `${(after.fromFloatCrankDeg * 1).toFixed(2)}° of it from float, at ratio ${ratio}`,
      stateNow: null,
      stateThen: null
    });
  const hot = w.float ? hotOf(engine, w.float.mm) : null;
  const hotThen = floatThen === null ? null : hotOf(engine, floatThen);
  if (hot && hotThen)
    add({
      key: 'hot',
      label: `End float at ${hot.hotC.toFixed(0)} °C`,
      unit: 'mm',
      now: hot.hotFloatMm,
      then: hotThen.hotFloatMm,
      u: null,
      limit: `above ${len(0)}`,
      stateNow: hot.hotFloatMm > 0 ? 'in' : 'out',
      stateThen: hotThen.hotFloatMm > 0 ? 'in' : 'out'
    });
  return lines;
}

/** The usual tolerance of mesh.pattern: a tenth of the face either side of the middle; an edge is out. */
function patchState(centre: number, length: number): VerdictState {
  if (centre - length / 2 < 0.05 || centre + length / 2 > 0.95) return 'out';
  return Math.abs(centre - 0.5) <= 0.1 ? 'in' : 'unsure';
}
