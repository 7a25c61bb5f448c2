import { gaugeCombine } from '../../src/core/calculations/gauge/gauge-combine.ts';
import { sampleSd } from '../../src/core/numerics/statistics.ts';
import { plainU, reader, times, told, type Case, type HandedGauge } from '../trial.ts';

/** One quantity, read once or several times. */
function repeated(series: string, g: HandedGauge, n: number, allows?: string): Case {
  return {
    group: 'gauge.combine',
    name: `${series}, ${n} reading${n === 1 ? '' : 's'}`,
    series: { name: series, n },
    ...(allows ? { allows } : {}),
    measure: (c) => {
      const truth = 15 + c.within(5);
      const read = reader(c, g);
      const readings = times(n, () => read(truth));
      const out = gaugeCombine({ readings, gauge: told(c, g) });
      const before = 2 * Math.hypot(sampleSd(readings) / Math.sqrt(n), plainU(g));
      return { mean: { error: out.mean - truth, half: 2 * out.u, before } };
    }
  };
}

const STEP_NOT_LESSENED = 'many readings over several steps lessen the step as well, which is not counted on';
const STEP_RULES = 'a step alone is a rectangle: twice its standard uncertainty is wider than it';
export const readings: Case[] = [
  ...[1, 2, 3, 5, 10, 20].map((n) => repeated('the hand rules', { step: 0.01, accuracy: 0.01, scatter: 0.05 }, n)),
  ...[1, 2, 3, 5].map((n) => repeated('hand and gauge alike', { step: 0.01, accuracy: 0.01, scatter: 0.01 }, n)),
  ...[1, 3, 10].map((n) =>
    repeated('a coarse step, hand of half of it', { step: 1, accuracy: 0, scatter: 0.5 }, n, STEP_NOT_LESSENED)
  ),
  ...[1, 5].map((n) => repeated('the step alone', { step: 1, accuracy: 0, scatter: 0.1 }, n, STEP_RULES)),
  ...[1, 5, 20].map((n) =>
    repeated(
      'a fixed error rules',
      { step: 0.01, accuracy: 0.05, scatter: 0.02 },
      n,
      'a ± alone is a rectangle as well'
    )
  )
];
