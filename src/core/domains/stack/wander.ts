import { driveWander } from '../../calculations/drive/drive-wander.ts';
import type { Engine } from '../../engine/engine.ts';
import { numberOf } from './vocabulary.ts';

export interface Wander {
  leadMm: number;
  fromFloatCrankDeg: number;
  fromBacklashCrankDeg: number;
  totalCrankDeg: number;
}

/** What a float does to the timing, when the sheet holds the gear. */
export function wanderOf(engine: Engine, floatMm: number): Wander | null {
  const [helixAngleDeg, pitchDiameterMm, ratio] = (['helixDeg', 'gearPitchMm', 'ratio'] as const).map((n) =>
    numberOf(engine, n)
  );
  if (helixAngleDeg === undefined || pitchDiameterMm === undefined || ratio === undefined) return null;
  const backlashMm = numberOf(engine, 'backlashMm') ?? 0;
  return driveWander({ helixAngleDeg, pitchDiameterMm, endFloatMm: Math.max(0, floatMm), backlashMm, ratio });
}
