import type { Field } from '$core/engine/fields.ts';
import type { SheetValue } from '$core/engine/engine.ts';
import { formatSpeed, formatTiming } from '$core/units/format.ts';
import { unitSign, type Unit } from '$core/units/units.ts';

/** A data-sheet value as it was given, with its unit and in words where it is a choice. */
export function givenText(field: Field | undefined, v: SheetValue): string {
  if (field?.kind === 'choice') return field.choices!.find((c) => c.id === v.value)?.label ?? String(v.value);
  if (Array.isArray(v.value)) return listText(v.value, field);
  if (field?.quantity === 'timing' && typeof v.value === 'number')
    return formatTiming(v.value, Number.isInteger(v.value) ? 0 : 1);
  // a unit that was typed with the figure is part of what was given
  if (v.unit === null || /[a-z°"]/i.test(v.given)) return v.given;
  return v.given + unitSign[v.unit as Unit];
}

/** Lists by their kind: an order of cylinders, limits over speed, advance over vacuum, else plain angles. */
function listText(values: number[], field: Field | undefined): string {
  const kind = field?.kind;
  const [first, second] = field?.pairUnits ?? [' kPa', '°'];
  if (kind === 'order') return values.join('-');
  if (kind === 'band') return inGroups(values, 3, ([rpm, least, most]) => `${formatSpeed(rpm!)} rpm ${least}–${most}°`);
  if (kind === 'pairs') return inGroups(values, 2, ([a, b]) => `${a}${first} ${b}${second}`);
  return values.map((d) => `${d}°`).join(' ');
}

function inGroups(values: number[], size: number, text: (group: number[]) => string): string {
  const groups = Array.from({ length: values.length / size }, (_, k) => values.slice(k * size, (k + 1) * size));
  return groups.map(text).join(', ');
}
