import type { Gauge } from '../src/core/calculations/gauge/hand.ts';
import { fixedU, stepU } from '../src/core/calculations/gauge/hand.ts';
import type { Chances } from './chances.ts';

/** One simulated measurement: how far the answer lay from the truth, and the half-width that was stated of it. */
export interface Trial {
  error: number;
  /** two standard uncertainties; null where the answer claims none */
  half: number | null;
  /** what the plain reckoning that this project began with would have stated; left out where it stated nothing */
  before?: number;
  /** how far off that was, where it gave another value as well */
  errorBefore?: number;
}

/** A way of measuring, again and again with known truths. One measurement may give several figures. */
export interface Case {
  /** what is measured, as the calculation is called */
  group: string;
  name: string;
  /** of cases that differ only in how much was read: the series, and how many readings this one has */
  series?: { name: string; n: number };
  measure: (c: Chances) => Record<string, Trial>;
  /** where a share other than 93 to 98 % follows from the rule of two itself, why */
  allows?: string;
}

/** A gauge shows whole steps, is off by a fixed amount within its accuracy for a whole measurement, and the hand scatters. */
export interface HandedGauge {
  step: number;
  accuracy: number;
  scatter: number;
}

/** How a hand is known: from this many degrees of freedom of its earlier repeats. */
export const LEARNT_DOF = 20;

/**
 * The gauge with the scatter of its hand as a workshop comes to know it: from figures that were read twice, with the steps of
 * the gauge in them, and with an error of its own.
 */
export function told(c: Chances, { step, accuracy, scatter }: HandedGauge): Gauge {
  const shown = (x: number) => (step ? c.step(x, step) : x);
  let squares = 0;
  for (let k = 0; k < LEARNT_DOF; k++) {
    const truth = c.within(10 * (step || scatter));
    const [one, two] = [shown(truth + c.normal(scatter)), shown(truth + c.normal(scatter))];
    squares += (one - two) ** 2 / 2;
  }
  return { resolution: step, accuracy, scatter: Math.sqrt(squares / LEARNT_DOF), scatterDof: LEARNT_DOF };
}

/** A function that reads true values with one gauge, its fixed error drawn once. */
export function reader(c: Chances, { step, accuracy, scatter }: HandedGauge): (truth: number) => number {
  const off = c.within(accuracy);
  return (truth) => {
    const seen = truth + off + (scatter ? c.normal(scatter) : 0);
    return step ? c.step(seen, step) : seen;
  };
}

/** Step and ± of a gauge alone, one reading, as it was once reckoned. */
export const plainU = (g: HandedGauge): number =>
  Math.hypot(stepU({ resolution: g.step, accuracy: 0 }), fixedU({ resolution: 0, accuracy: g.accuracy }));

export const times = <T>(n: number, of: (k: number) => T): T[] => Array.from({ length: n }, (_, k) => of(k));
