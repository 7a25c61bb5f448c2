import type { z } from 'zod';
import { rad } from '../../numerics/angles.ts';
import type { wheelTicksInput } from './schemas.ts';

export interface WheelTick {
  deg: number;
  arcMm: number;
  chordMm: number;
}

/**
 * Tick positions of a degree scale for a rim of the given diameter: along the rim (arc = πD·deg/360) and across
 * (chord = D·sin(|deg|/2), with the angle's sign). Ticks run from `fromDeg` in steps up to `toDeg`.
 * @example wheelTicks({ diameterMm: 180, fromDeg: 0, toDeg: 10, stepDeg: 10 }).ticks[1]!.arcMm  // 15.7079…
 */
export function wheelTicks(i: z.infer<typeof wheelTicksInput>): { mmPerDeg: number; ticks: WheelTick[] } {
  const count = Math.floor((i.toDeg - i.fromDeg) / i.stepDeg + 1e-9);
  const mmPerDeg = (Math.PI * i.diameterMm) / 360;
  const ticks: WheelTick[] = [];
  for (let k = 0; k <= count; k++) {
    const d = i.fromDeg + k * i.stepDeg;
    ticks.push({ deg: d, arcMm: mmPerDeg * d, chordMm: i.diameterMm * Math.sin(rad(Math.abs(d)) / 2) * Math.sign(d) });
  }
  return { mmPerDeg, ticks };
}
