import type { z } from 'zod';
import { EPS, rad } from '../../numerics/angles.ts';
import type { rotorPhasingInput } from './schemas.ts';

/**
 * Where the rotor is against its terminal when the spark comes, at both ends of what shifts the trigger (distributor
 * degrees). `good` while tip and terminal overlap at both ends; `crossfire` when a spark gap reaches half the way to
 * the neighbour; else `marginal`. bestBaseOffsetDeg centres the range on the terminal.
 */
export function rotorPhasing(i: z.infer<typeof rotorPhasingInput>) {
  const widths = i.tipWidthMm + i.terminalWidthMm;
  const ends = i.shiftRangeDeg.map((shiftDeg) => {
    const offsetDeg = i.baseOffsetDeg - shiftDeg;
    const overlapMm = widths / 2 - i.tipRadiusMm * rad(Math.abs(offsetDeg));
    const toNeighbour = i.tipRadiusMm * rad(360 / i.terminals - Math.abs(offsetDeg)) - widths / 2;
    return {
      shiftDeg,
      offsetDeg,
      overlapMm,
      sparkGapMm: Math.hypot(i.radialGapMm, Math.max(0, -overlapMm)),
      neighbourGapMm: Math.hypot(i.radialGapMm, Math.max(0, toNeighbour))
    };
  });
  const good = ends.every((e) => e.overlapMm >= -EPS);
  const crossfire = ends.some((e) => e.sparkGapMm >= e.neighbourGapMm / 2 - EPS);
  const state: 'good' | 'crossfire' | 'marginal' = good ? 'good' : crossfire ? 'crossfire' : 'marginal';
  return { ends, state, bestBaseOffsetDeg: (i.shiftRangeDeg[0] + i.shiftRangeDeg[1]) / 2 };
}
