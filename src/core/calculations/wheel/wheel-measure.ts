import type { z } from 'zod';
import { deg } from '../../numerics/angles.ts';
import type { wheelMeasureInput } from './schemas.ts';

/** The angle on a rim from a length measured along it (arc) or straight across (chord), mm to degrees. */
export function wheelMeasure(i: z.infer<typeof wheelMeasureInput>): { deg: number } {
  if (i.arcMm !== undefined) return { deg: (360 * i.arcMm) / (Math.PI * i.diameterMm) };
  const ratio = Math.max(-1, Math.min(1, i.chordMm! / i.diameterMm));
  return { deg: 2 * deg(Math.asin(ratio)) };
}
