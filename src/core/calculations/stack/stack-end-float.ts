import type { z } from 'zod';
import { stretch } from '../../numerics/student.ts';
import { fixedU, handU, stepU, USUAL_DOF, type Gauge, type HandU } from '../gauge/hand.ts';
import { verdictOrNone, type Verdict } from '../verdict/verdict.ts';
import { mean, sampleSd, together } from '../../numerics/statistics.ts';
import type { endFloatInput } from './schemas.ts';

export interface EndFloat {
  floatMm: number;
  washerMm: number;
  gapMm: number;
  uMm: number;
  /** null: no limits were given */
  verdict: Verdict | null;
  /** no clearance left: the gear would be clamped */
  preloaded: boolean;
  scatterUnknown?: true;
}

/**
 * Scatter of a mean of places: by the learnt feel alone where there is one, since places differ by tilt as well, which is
 * no doubt about their mean; else by the places themselves.
 */
function feelU(readings: readonly number[], g: Gauge): HandU {
  const n = readings.length;
  if (g.scatter === undefined) return handU(sampleSd(readings), n, g);
  return {
    u: (g.scatter / Math.sqrt(n)) * stretch(g.scatterDof ?? USUAL_DOF),
    s: g.scatter,
    unknown: false,
    disagree: false
  };
}

type Measured = Pick<z.input<typeof endFloatInput>, 'washerMm' | 'washerGauge' | 'gaps' | 'bladeGauge'>;
/** What each place's blades come to, mm. */
const gapsOf = (i: Measured): number[] => i.gaps.map((blades) => blades.reduce((a, b) => a + b, 0));

/** What makes up the doubt of an end float, as standard uncertainties in mm; of scatter and step the larger counts. */
export function endFloatParts(i: Measured, gaps = gapsOf(i)) {
  const ofWasher = feelU(i.washerMm, i.washerGauge);
  const ofGap = feelU(gaps, i.bladeGauge);
  return {
    washer: { hand: ofWasher.u, step: stepU(i.washerGauge), fixed: fixedU(i.washerGauge) },
    gap: {
      hand: ofGap.u,
      step: stepU(i.bladeGauge),
      fixed: Math.sqrt(mean(i.gaps.map((g) => g.length))) * fixedU(i.bladeGauge)
    },
    unknown: ofWasher.unknown || ofGap.unknown
  };
}

/**
 * End float by a washer of known thickness under the drive gear: the washer lifts the pedestal, and what is left
 * below its flange is the gap. Float = mean washer - mean gap, each gap the sum of the blades stacked in one place.
 * u² = max(uA washer, step)² + acc²/3 + max(uA gap, step)² + (blades a gap)·acc²/3: the step once a place and not once a
 * blade; the same blades at every place, so that their errors do not shrink with more places.
 */
export function stackEndFloat(i: z.input<typeof endFloatInput>): EndFloat {
  const gaps = gapsOf(i);
  const washerMm = mean(i.washerMm);
  // the thickest pack that enters leaves room for anything up to the next: on average half a step more
  const gapMm = mean(gaps) + (i.pack === 'largest' ? i.bladeGauge.resolution / 2 : 0);
  const floatMm = washerMm - gapMm;
  const { washer, gap, unknown } = endFloatParts(i, gaps);
  const uMm = together(
    together(Math.max(washer.hand, washer.step), washer.fixed),
    together(Math.max(gap.hand, gap.step), gap.fixed)
  );
  return {
    floatMm,
    washerMm,
    gapMm,
    uMm,
    verdict: verdictOrNone(floatMm, uMm, i.spec.minMm, i.spec.maxMm, unknown),
    preloaded: floatMm <= 1e-9,
    ...(unknown ? { scatterUnknown: true as const } : {})
  };
}
