import { fieldOf } from '$core/sheets/data-sheet.ts';
import type { SheetValue } from '$core/sheets/engine.ts';
import { formatTiming } from '$core/units/format.ts';
import { unitSign, type Unit } from '$core/units/units.ts';

/** A data-sheet value as it was given, with its unit and in words where it is a choice. */
export function givenText(v: SheetValue): string {
  const field = fieldOf(v.name);
  if (field?.kind === 'choice') return field.choices!.find((c) => c.id === v.value)?.label ?? String(v.value);
  if (Array.isArray(v.value))
    return field?.kind === 'order' ? v.value.join('-') : v.value.map((d) => `${d}°`).join(' ');
  if (field?.quantity === 'timing' && typeof v.value === 'number')
    return formatTiming(v.value, Number.isInteger(v.value) ? 0 : 1);
  // a unit that was typed with the figure is part of what was given
  if (v.unit === null || /[a-z°"]/i.test(v.given)) return v.given;
  return v.given + unitSign[v.unit as Unit];
}
