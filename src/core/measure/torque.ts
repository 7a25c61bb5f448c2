import type { z } from 'zod';
import { fromBase, toBase } from '../units/units.ts';
import type { torqueConvertInput, torqueExtensionInput } from './schemas.ts';

/** Converts a torque between N·m, lbf·ft and lbf·in (exact conversion factors of the SI). */
export function torqueConvert({ value, from, to }: z.infer<typeof torqueConvertInput>): { value: number } {
  return { value: fromBase(toBase(value, from), to) };
}

/**
 * What to set on a torque wrench that carries an in-line extension: the joint then gets `torqueNm`.
 * Lever rule, torque·L/(L+E), L from the drive square to the grip, E the extension in the same line.
 */
export function torqueExtension(i: z.infer<typeof torqueExtensionInput>): { settingNm: number } {
  return { settingNm: (i.torqueNm * i.wrenchMm) / (i.wrenchMm + i.extensionMm) };
}
