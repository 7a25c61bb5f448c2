import type { z } from 'zod';
import type { metals, thermalInput } from './schemas.ts';

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
