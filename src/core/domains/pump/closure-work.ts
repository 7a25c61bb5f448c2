import { handU, stepU } from '../../calculations/gauge/hand.ts';
import { pumpClosure } from '../../calculations/pump/pump-closure.ts';
import type { CalcError } from '../../errors/catalogue.ts';
import { gaugeOf } from '../../job/readings.ts';
import { mean } from '../../numerics/statistics.ts';
import { standsOf, type Cycle, type Lift, type Stands } from './lift-cycles.ts';

/** How the crank goes with the lift about the closure, measured on this engine; degrees of the crank for a mm of lift. */
export interface Slope {
  degPerMm: number;
  uDegPerMm: number;
}

/** The one lift at which the port closes, and what was read about it. */
export interface ClosureWork {
  closureMm: number;
  /** lifts near it, off the zero, each with the crank that was read there */
  pairs: { liftMm: number; btdc: number }[];
  /** a lift so far from it that it tells nothing of the closure; null where none is */
  farMm: number | null;
  /** null until lifts about the closure tell it */
  slope: Slope | null;
  /** the lifts that are still to be read, in the order in which the crank comes forward to them */
  next: number[];
  /** where the port closes, over all pairs; null without a slope */
  stands: Stands | null;
  problem: CalcError | null;
}

/** Rule of thumb: lifts further than this from the closure are not read for it: the cam's lift is a straight line over a short way alone. */
export const NEAR_MM = 0.45;
/** Rule of thumb: lifts so far below and above the closure tell the slope, a degree or so of the crank, which a wheel shows. */
export const BESIDE_MM = 0.2;
/** A slope counts while its own doubt is less than this part of it. */
const SLOPE_WITHIN = 0.5;

/**
 * Timing by the one lift at which the port closes: the crank is read as the dial shows it, coming forward. The slope turns
 * what the dial may be off into degrees, and carries lifts just beside the closure onto it.
 * @param earlier the slope as another step of this job measured it; the pump's cam has the same one in any setting
 */
export function closureWork(
  closureMm: number,
  cycles: readonly Cycle[],
  read: { zeroMm: number; lift: Lift | null; uTdc: number },
  earlier: Slope | null
): ClosureWork {
  const off = cycles.map((c) => ({ ...c, liftMm: c.liftMm - read.zeroMm }));
  const near = off.filter((c) => Math.abs(c.liftMm - closureMm) <= NEAR_MM);
  const pairs = near.map(({ liftMm, btdc }) => ({ liftMm, btdc }));
  const far = off.findLast((c) => !near.includes(c))?.liftMm ?? null;
  const own = near.length > 1 && read.lift ? slopeOf(closureMm, near, read.lift) : null;
  const slope = own?.slope ?? earlier;
  const problem = own?.problem ?? null;
  const stands = slope && near.length > 0 && read.lift ? standsAt(closureMm, near, read, slope) : null;
  return {
    closureMm,
    pairs,
    farMm: near.length === 0 ? far : null,
    slope,
    next: nextLifts(closureMm, pairs, slope !== null),
    stands,
    problem
  };
}

/** The slope of these lifts, and the error where they contradict it; neither where they lie too near together to tell. */
function slopeOf(
  closureMm: number,
  near: readonly Cycle[],
  lift: Lift
): { slope: Slope | null; problem: CalcError | null } {
  const lifts = near.map(({ liftMm, btdc }) => ({ liftMm, btdc }));
  const read = pumpClosure({ closureMm, lifts });
  const apart = Math.max(...lifts.map((l) => l.liftMm)) - Math.min(...lifts.map((l) => l.liftMm));
  if (!read.ok) return { slope: null, problem: apart > BESIDE_MM / 2 ? read.error : null };
  const wheel = gaugeOf(near[0]!.stands);
  const degPerMm = 1 / read.out.slopeMmPerDeg;
  const uWheel = Math.max(handU(0, 1, wheel).u, stepU(wheel));
  const uDial = Math.max(lift.hand, lift.step) * degPerMm;
  const uDegPerMm = Math.hypot(uWheel, uDial) / read.out.spreadMm;
  return { slope: uDegPerMm < SLOPE_WITHIN * degPerMm ? { degPerMm, uDegPerMm } : null, problem: null };
}

/** Where the crank stands as the port closes: each pair carried to the closure, and their mean. */
function standsAt(
  closureMm: number,
  near: readonly Cycle[],
  read: { lift: Lift | null; uTdc: number },
  slope: Slope
): Stands {
  const { degPerMm, uDegPerMm } = slope;
  const carried = near.map((c) => ({ ...c, btdc: c.btdc + (c.liftMm - closureMm) * degPerMm }));
  const scatter = read.lift!.hand * degPerMm;
  const at = standsOf(carried, read.uTdc, scatter);
  const beside = Math.abs(mean(near.map((c) => c.liftMm)) - closureMm);
  return { ...at, uDeg: Math.hypot(at.uDeg, beside * uDegPerMm) };
}

/** Below, at and above the closure until the slope is known, further apart once that did not do; with it the closure alone. */
function nextLifts(closureMm: number, pairs: readonly { liftMm: number }[], slopeKnown: boolean): number[] {
  const read = (mm: number) => pairs.some((p) => Math.abs(p.liftMm - mm) <= BESIDE_MM / 2);
  const at = read(closureMm) ? [] : [closureMm];
  if (slopeKnown) return at;
  const narrow = [closureMm - BESIDE_MM, closureMm + BESIDE_MM];
  const asked = narrow.every(read) ? [closureMm - 2 * BESIDE_MM, closureMm + 2 * BESIDE_MM] : narrow;
  return [...asked.filter((mm) => !read(mm)), ...at].sort((a, b) => a - b);
}

/** The slope that a step of this job measured last, of those that did; null before any. */
export const slopeAmong = (works: readonly { closure: ClosureWork | null }[]): Slope | null =>
  works.findLast((w) => w.closure?.slope)?.closure?.slope ?? null;
