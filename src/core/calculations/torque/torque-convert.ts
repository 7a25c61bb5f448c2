import type { z } from 'zod';
import { fromBase, toBase } from '../../units/units.ts';
import type { torqueConvertInput } from './schemas.ts';

/** Converts a torque between N·m, lbf·ft and lbf·in (exact conversion factors of the SI). */
export function torqueConvert({ value, from, to }: z.infer<typeof torqueConvertInput>): { value: number } {
  return { value: fromBase(toBase(value, from), to) };
}
