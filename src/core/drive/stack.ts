import type { z } from 'zod';
import { gaugeU } from '../measure/gauge.ts';
import { verdict, type Verdict } from '../measure/verdict.ts';
import { mean, sampleSd } from '../numerics/statistics.ts';
import type { endFloatInput, engagementInput, metals, moveInput, thermalInput } from './schemas.ts';

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

export interface Engagement {
  engagementMm: number;
  withoutGasketMm: number;
  uMm: number;
  verdict: Verdict;
  clearanceMm?: number;
  clearanceVerdict?: Verdict;
}

/**
 * How deep the distributor's drive sits in the oil-pump drive: length - gasket - offset - depth, and what is left of
 * the slot below it. No clearance left means that the distributor bottoms on the pump and clamps down on it.
 */
export function stackEngagement(i: z.infer<typeof engagementInput>): Engagement {
  const withoutGasketMm = i.lengthMm - i.featureOffsetMm - i.depthToDriveMm;
  const engagementMm = withoutGasketMm - i.gasketMm;
  const uMm = Math.hypot(i.uMm.length, i.uMm.depth, i.uMm.offset, i.uMm.gasket);
  const out: Engagement = {
    engagementMm,
    withoutGasketMm,
    uMm,
    verdict: verdict(engagementMm, uMm, i.minEngagementMm, null)
  };
  if (i.slotDepthMm === undefined) return out;
  const clearanceMm = i.slotDepthMm - engagementMm;
  return { ...out, clearanceMm, clearanceVerdict: verdict(clearanceMm, uMm, i.minClearanceMm ?? 0, null) };
}

/** Thermal expansion, 1e-6 a kelvin: usual engineering values. */
const EXPANSION: Record<(typeof metals)[number], number> = {
  steel: 11.7,
  'cast-iron': 10.8,
  aluminium: 23.1,
  bronze: 18.5,
  magnesium: 26
};

/**
 * What warming does to a float: growth = L(αhousing - αshaft)(hot - cold). A shaft between two faces of its housing
 * gains it; a housing embraced by two collars of the shaft loses it.
 */
export function stackThermal(i: z.infer<typeof thermalInput>): { growthMm: number; hotFloatMm: number } {
  const growthMm = i.lengthMm * (EXPANSION[i.housing] - EXPANSION[i.shaft]) * 1e-6 * (i.hotC - i.coldC);
  return { growthMm, hotFloatMm: i.coldFloatMm + (i.arrangement === 'shaft-in-housing' ? growthMm : -growthMm) };
}

/** What setting the drive deeper does to everything that hangs on its depth. The twist has the sign of the move. */
export function stackMove(i: z.infer<typeof moveInput>) {
  return {
    engagementMm: i.engagementMm + i.deeperMm,
    clearanceMm: i.clearanceMm - i.deeperMm,
    contactFraction: i.contactFraction + i.deeperMm / i.faceWidthMm,
    rotorTwistDeg: i.leadMm === undefined ? null : (360 * i.deeperMm) / i.leadMm
  };
}
