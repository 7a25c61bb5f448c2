import type { z } from 'zod';
import { deg, rad } from '../angles.ts';
import type { wheelMeasureInput, wheelTicksInput } from './schemas.ts';

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

/** The angle on a rim from a length measured along it (arc) or straight across (chord), mm to degrees. */
export function wheelMeasure(i: z.infer<typeof wheelMeasureInput>): { deg: number } {
  if (i.arcMm !== undefined) return { deg: (360 * i.arcMm) / (Math.PI * i.diameterMm) };
  const ratio = Math.max(-1, Math.min(1, i.chordMm! / i.diameterMm));
  return { deg: 2 * deg(Math.asin(ratio)) };
}
