import { manifests } from '../domains/all.ts';
import type { Engine, SheetValue } from '../engine/engine.ts';
import { fieldGroups, type Field } from '../engine/fields.ts';
import { pairConflicts, parseFieldValue, type Conflict } from '../engine/sheet-values.ts';

import { fail } from '../errors/catalogue.ts';
import type { Result } from '../errors/result.ts';

const place = (f: Field): number => {
  const at = (fieldGroups as readonly string[]).indexOf(f.group);
  return at < 0 ? fieldGroups.length : at;
};

/** Every value that a data sheet may hold, in the order in which it is read; groups of a new trade come last. */
export const dataSheetFields: Field[] = manifests
  .flatMap((m) => m.fields ?? [])
  .map((f, k) => ({ f, k }))
  .sort((a, b) => place(a.f) - place(b.f) || a.k - b.k)
  .map(({ f }) => f);

const byName = new Map(dataSheetFields.map((f) => [f.name, f]));
export const fieldOf = (name: string): Field | undefined => byName.get(name);

/** Reads what was typed into a value of the data sheet. Errors: those of `parseFieldValue`; `bad-input` for a name that is none. */
export function parseSheetValue(name: string, given: string, unit: string | null): Result<SheetValue['value']> {
  const field = fieldOf(name);
  return field
    ? parseFieldValue(field, given, unit)
    : fail('bad-input', 'name', { what: `The data sheet has no value called "${name}".` });
}

/** What contradicts itself between values that are each fine alone. */
export const sheetConflicts = (e: Engine): Conflict[] =>
  manifests.flatMap((m) => [...(m.conflicts?.(e) ?? []), ...pairConflicts(e, m.limits ?? [])]);
