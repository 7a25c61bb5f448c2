import { stackEndFloat } from '../../src/core/calculations/stack/stack-end-float.ts';
import { mean, sampleSd } from '../../src/core/numerics/statistics.ts';
import type { Chances } from '../chances.ts';
import { plainU, reader, times, told, type Case, type HandedGauge } from '../trial.ts';

export const MICROMETER: HandedGauge = { step: 0.01, accuracy: 0.004, scatter: 0.004 };

export interface Feel {
  blade: HandedGauge;
  places: number;
  /** how far the face is tilted, mm either way */
  tilt?: number;
  /** the pack that fits best, or the thickest that enters */
  pack?: 'nearest' | 'largest';
}

/** One end float by washer and blades, two in each place; the same blades all round, so that their errors are the same too. */
export function floatOf(c: Chances, { blade, places, tilt = 0, pack = 'nearest' }: Feel) {
  const thick = 1.55 + c.within(0.15);
  const gap = 1.1 + c.within(0.2);
  const micrometer = reader(c, MICROMETER);
  const washerMm = times(4, () => micrometer(thick));
  const off = c.within(blade.accuracy) + c.within(blade.accuracy);
  const phase = c.within(Math.PI);
  const gaps = times(places, (k) => {
    const felt = gap + tilt * Math.sin(phase + (2 * Math.PI * k) / places) + c.normal(blade.scatter) - off;
    const steps = pack === 'largest' ? Math.floor(felt / blade.step + 1e-9) : Math.round(felt / blade.step);
    const half = Math.floor(steps / 2);
    return [half * blade.step, (steps - half) * blade.step];
  });
  const input = {
    washerMm,
    washerGauge: told(c, MICROMETER),
    gaps,
    bladeGauge: told(c, blade),
    pack
  };
  return { truth: thick - gap, input };
}

function float(series: string, feel: Feel, allows?: string): Case {
  const { places: n, blade } = feel;
  return {
    group: 'stack.endFloat',
    name: `${series}, ${n} place${n === 1 ? '' : 's'}`,
    series: { name: series, n },
    ...(allows ? { allows } : {}),
    measure: (c) => {
      const { truth, input } = floatOf(c, feel);
      const out = stackEndFloat({ ...input, spec: { minMm: null, maxMm: null } });
      const sums = input.gaps.map((g) => g[0]! + g[1]!);
      const before =
        2 *
        Math.sqrt(
          sampleSd(input.washerMm) ** 2 / 4 + plainU(MICROMETER) ** 2 + sampleSd(sums) ** 2 / n + 2 * plainU(blade) ** 2
        );
      // it took the thickest that enters for the gap itself
      const errorBefore = mean(input.washerMm) - mean(sums) - truth;
      return { float: { error: out.floatMm - truth, half: 2 * out.uMm, before, errorBefore } };
    }
  };
}

const fine = (scatter: number): HandedGauge => ({ step: 0.01, accuracy: 0.003, scatter });
const coarse: HandedGauge = { step: 0.05, accuracy: 0.003, scatter: 0.005 };
const STEP_RULES = 'the step of the blades rules: a rectangle';
export const floats: Case[] = [
  ...[1, 2, 3, 4].map((places) => float('fine blades, a feel of 0.02 mm', { blade: fine(0.02), places })),
  float('a face tilted by 0.05 mm', { blade: fine(0.01), places: 4, tilt: 0.05 }),
  ...[1, 4].map((places) => float('coarse blades, best fit', { blade: coarse, places }, STEP_RULES)),
  ...[1, 4].map((places) =>
    float('coarse blades, thickest that enters', { blade: coarse, places, pack: 'largest' }, STEP_RULES)
  )
];
