import type { LengthText } from '$core/job/words.ts';
import { baseUnit, fromBase, unitSign, type Quantity, type Unit } from '$core/units/units.ts';
import { fixed, formatTiming } from '$core/units/format.ts';
import type { Prefs } from '$lib/reader/prefs.ts';

/** Lengths in the unit of whoever reads them; `decimals` are those wanted in millimetres. */
export function lengthText(prefs: Prefs): LengthText {
  const extra = { mm: 0, in: 2, thou: -1 }[prefs.length];
  return (mm, decimals = 2) =>
    fixed(fromBase(mm, prefs.length), Math.max(0, decimals + extra)) + unitSign[prefs.length];
}

/** The unit meant when none is typed. */
export const unitFor = (prefs: Prefs, quantity: Quantity): Unit =>
  quantity === 'length' ? prefs.length : baseUnit(quantity);

/** Decimals that show a step of `resolution` in a unit. */
export function decimalsOf(resolution: number, unit: Unit): number {
  if (unit === 'DP') return 1;
  const step = fromBase(resolution, unit) - fromBase(0, unit);
  return step > 0 ? Math.min(4, Math.max(0, Math.ceil(-Math.log10(step) - 1e-9))) : 2;
}

/** A reading as understood: in the unit it was typed in, and beside it in the unit of whoever reads it. */
export function understood(
  r: { value: number; resolution: number; unit: string },
  quantity: Quantity,
  prefs: Prefs
): string {
  if (quantity === 'timing') return formatTiming(r.value, decimalsOf(r.resolution, 'deg'));
  const unit = (r.unit === 'clock' ? 'deg' : r.unit) as Unit;
  const own = fixed(fromBase(r.value, unit), decimalsOf(r.resolution, unit)) + unitSign[unit];
  if (quantity !== 'length' || unit === prefs.length) return own;
  return `${own} (${lengthText(prefs)(r.value, 3)})`;
}
