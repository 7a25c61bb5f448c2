import type { z } from 'zod';
import { gaugeU } from '../gauge/gauge-combine.ts';
import { verdict, type Verdict } from '../verdict/verdict.ts';
import { mean, sampleSd } from '../../numerics/statistics.ts';
import type { endFloatInput } from './schemas.ts';

export interface EndFloat {
  floatMm: number;
  washerMm: number;
  gapMm: number;
  uMm: number;
  verdict: Verdict;
  /** no clearance left: the gear would be clamped */
  preloaded: boolean;
}

/**
 * End float by a washer of known thickness under the drive gear: the washer lifts the pedestal, and what is left
 * below its flange is the gap. Float = mean washer - mean gap, each gap the sum of the blades stacked in one place.
 * u² = s²w/nw + u²washer + s²g/ng + (mean blades a gap)·u²blade: every blade of a stack brings its own.
 */
export function stackEndFloat(i: z.infer<typeof endFloatInput>): EndFloat {
  const gaps = i.gaps.map((blades) => blades.reduce((a, b) => a + b, 0));
  const blades = mean(i.gaps.map((g) => g.length));
  const washerMm = mean(i.washerMm);
  const gapMm = mean(gaps);
  const floatMm = washerMm - gapMm;
  const uMm = Math.sqrt(
    sampleSd(i.washerMm) ** 2 / i.washerMm.length +
      gaugeU(i.washerGauge) ** 2 +
      sampleSd(gaps) ** 2 / gaps.length +
      blades * gaugeU(i.bladeGauge) ** 2
  );
  return {
    floatMm,
    washerMm,
    gapMm,
    uMm,
    verdict: verdict(floatMm, uMm, i.spec.minMm, i.spec.maxMm),
    preloaded: floatMm <= 1e-9
  };
}
