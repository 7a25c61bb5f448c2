import { together } from '../../numerics/statistics.ts';
import { stretch, varianceTail } from '../../numerics/student.ts';

/** A gauge in a hand, all in the unit of what it reads. */
export interface Gauge {
  /** the step it shows */
  resolution: number;
  /** ± of its fixed error */
  accuracy: number;
  /** standard deviation of one reading by this hand, as learnt from repeats or assumed; absent: not known */
  scatter?: number | undefined;
  /** degrees of freedom behind the scatter; 20 when it is not said */
  scatterDof?: number | undefined;
}

/** Degrees of freedom of a scatter of which nothing else is said: about a day's repeats. */
export const USUAL_DOF = 20;

/** Standard uncertainty of a step: anywhere within it (Guide to the expression of uncertainty in measurement, 4.3.7). */
export const stepU = (g: Gauge): number => g.resolution / Math.sqrt(12);
/** Standard uncertainty of the fixed error: anywhere within its ±. Repeats do not lessen it. */
export const fixedU = (g: Gauge): number => g.accuracy / Math.sqrt(3);

/**
 * Standard uncertainty of one reading by the gauge alone, its step and its ±, both taken as rectangular. Same unit as the
 * gauge; what the hand adds is not in it.
 * @example gaugeU({ resolution: 0.01, accuracy: 0.02 })  // 0.0119…
 */
export const gaugeU = (g: Gauge): number => together(stepU(g), fixedU(g));

/**
 * A gauge whose readings are typed in coarser steps than it shows. Rounding scatters the readings, and the mean of many is
 * still off by what scattering does not even out: for steps T and a hand of scatter σ about T/√12·exp(−2π²(σ/T)²), nearly the
 * whole step where the hand is steady and next to nothing where it scatters by a third of a step (Widrow and Kollár,
 * Quantization Noise, 2008, uniform quantiser with Gaussian input).
 * @param step what the readings are typed in, same unit
 */
export function typedInSteps(g: Gauge, step: number): Gauge {
  if (g.scatter === undefined) return { ...g, resolution: step };
  const rounding = step / Math.sqrt(12);
  // a scatter that was learnt from typed readings has the rounding in it; without more knowledge it is taken so
  const steady = Math.sqrt(Math.max(0, g.scatter ** 2 - rounding ** 2));
  const left = step * Math.exp(-2 * Math.PI ** 2 * (steady / step) ** 2);
  return { ...g, resolution: Math.max(g.resolution, left), scatter: Math.hypot(steady, rounding) };
}

export interface HandU {
  /** standard uncertainty of the mean by scatter, stretched so that twice it is a 95 % half-width; 0 where it is not known */
  u: number;
  /** the scatter of one reading that it rests on */
  s: number;
  /** nothing tells how much the hand scatters: one reading, and no scatter learnt */
  unknown: boolean;
  /** the repeats lie further apart than the scatter that was learnt allows in one of a hundred: something moved */
  disagree: boolean;
}

/** Repeats that lie this far apart come by chance in one of a hundred. */
const BY_CHANCE = 0.01;

/**
 * What the hand's scatter makes of the mean of n readings. Today's repeats and what was learnt before are pooled by their
 * degrees of freedom: s² = (ν₀s₀² + (n-1)s²)/(ν₀+n-1). Few degrees of freedom are stretched by Student's factor. Repeats that
 * disagree with what was learnt (F test of both variances, 1 of 100) widen the scatter to what was seen, √(χ²/ν) times it.
 * @param s sample standard deviation of the readings, 0 for one
 * @param n how many readings
 * @param share what one figure takes of a reading's scatter: 1/√2 for the middle of two
 */
export function handU(s: number, n: number, g: Gauge, share = 1): HandU {
  if (g.scatter !== undefined) {
    const known = g.scatterDof ?? USUAL_DOF;
    const dof = known + n - 1;
    const pooled = Math.sqrt((known * (g.scatter * share) ** 2 + (n - 1) * s * s) / dof);
    const u = (pooled / Math.sqrt(n)) * stretch(dof);
    // a step that rounds away the scatter is one all the same
    const learnt = Math.max(g.scatter, stepU(g)) * share;
    const disagree = n > 1 && learnt > 0 && varianceTail((s / learnt) ** 2, [n - 1, known]) < BY_CHANCE;
    return disagree
      ? { u: Math.max(u, s / Math.sqrt(n)), s: Math.max(pooled, s), unknown: false, disagree }
      : { u, s: pooled, unknown: false, disagree };
  }
  if (n < 2) return { u: 0, s: 0, unknown: true, disagree: false };
  return { u: (s / Math.sqrt(n)) * stretch(n - 1), s, unknown: false, disagree: false };
}

/**
 * What the hand's scatter is expected to make of the mean after one more reading: one that scatters as is known by now, from
 * today's repeats and what was learnt together. Of a hand of which nothing is known it says no less than now.
 */
export function handUWithMore(s: number, n: number, g: Gauge, share = 1): number {
  const now = handU(s, n, g, share);
  if (now.unknown) return now.u;
  const dof = (g.scatter === undefined ? 0 : (g.scatterDof ?? USUAL_DOF)) + n;
  return (now.s / Math.sqrt(n + 1)) * stretch(dof);
}

/**
 * The whole of it for the mean of n readings: u² = max(hand, step)² + fixed². The step shows in the scatter already, so the
 * larger of the two counts.
 */
export function repeatedU(s: number, n: number, g: Gauge): Omit<HandU, 's'> & { uA: number; uB: number } {
  const { u, unknown, disagree } = handU(s, n, g);
  return { u: together(Math.max(u, stepU(g)), fixedU(g)), uA: u, uB: gaugeU(g), unknown, disagree };
}
