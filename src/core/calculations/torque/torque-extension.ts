import type { z } from 'zod';
import type { torqueExtensionInput } from './schemas.ts';

/**
 * What to set on a torque wrench that carries an in-line extension: the joint then gets `torqueNm`.
 * Lever rule, torque·L/(L+E), L from the drive square to the grip, E the extension in the same line.
 */
export function torqueExtension(i: z.infer<typeof torqueExtensionInput>): { settingNm: number } {
  return { settingNm: (i.torqueNm * i.wrenchMm) / (i.wrenchMm + i.extensionMm) };
}
