import { gaugeCombine } from '../src/core/calculations/gauge/gauge-combine.ts';
import type { Gauge } from '../src/core/calculations/gauge/hand.ts';
import { ASSUMED_DOF } from '../src/core/tray/hands.ts';
import { chances } from './chances.ts';
import { median } from './judge.ts';
import { LEARNT_DOF, reader, times, type HandedGauge } from './trial.ts';

/** What the ± of a mean comes to with more readings, as a multiple of the hand's scatter: median over many. */
export interface Further {
  n: number;
  /** null: one reading of a hand nobody knows states nothing */
  unknown: number | null;
  assumed: number;
  learnt: number;
}

const HAND: HandedGauge = { step: 0.01, accuracy: 0.01, scatter: 0.05 };

export function further(trials: number, seed: number): Further[] {
  return times(8, (k) => k + 1).map((n) => {
    const c = chances(seed + n);
    const halves = { unknown: [] as number[], assumed: [] as number[], learnt: [] as number[] };
    for (let k = 0; k < trials; k++) {
      const read = reader(c, HAND);
      const readings = times(n, () => read(10));
      const add = (into: number[], known: Partial<Gauge>) => {
        const out = gaugeCombine({ readings, gauge: { resolution: HAND.step, accuracy: HAND.accuracy, ...known } });
        if (!out.scatterUnknown) into.push((2 * out.u) / HAND.scatter);
      };
      add(halves.unknown, {});
      add(halves.assumed, { scatter: HAND.scatter, scatterDof: ASSUMED_DOF });
      add(halves.learnt, { scatter: HAND.scatter, scatterDof: LEARNT_DOF });
    }
    return { n, unknown: median(halves.unknown), assumed: median(halves.assumed)!, learnt: median(halves.learnt)! };
  });
}
