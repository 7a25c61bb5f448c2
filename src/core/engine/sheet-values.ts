import { fail } from '../errors/catalogue.ts';
import { ok, type Result } from '../errors/result.ts';
import { readingParse } from '../calculations/reading/reading-parse.ts';
import { baseUnit, unitsOf, type Quantity, type Unit } from '../units/units.ts';
import type { Field } from './fields.ts';
import { numberOf, type Engine, type SheetValue } from './engine.ts';

/**
 * Reads what was typed into a field of the data sheet. Lengths, angles and the like go through the reading grammar,
 * so a sheet may be copied in its own units.
 * Errors: those of `reading.parse`, and `out-of-range` or `bad-input` with what the field expects.
 */
export function parseFieldValue(field: Field, given: string, unit: string | null): Result<SheetValue['value']> {
  const { name } = field;
  const text = given.trim();
  switch (field.kind) {
    case 'choice':
      return field.choices!.some((c) => c.id === text)
        ? ok(text)
        : fail('bad-input', name, {
            what: `${field.label}: choose ${field.choices!.map((c) => c.label).join(' or ')}.`
          });
    case 'order':
      return parseOrder(field, text);
    case 'offsets':
      return parseOffsets(field, text);
    case 'band':
      return parsePoints(field, text, 3);
    case 'pairs':
      return parsePoints(field, text, 2);
    case 'text':
      return text !== '' && text.length <= 60
        ? ok(text)
        : fail('bad-input', name, { what: `${field.label}: 1 to 60 characters, as ${field.example}.` });
    case 'number': {
      const n = Number(text.replace(',', '.'));
      return text !== '' && Number.isFinite(n)
        ? within(field, n)
        : fail('bad-input', name, { what: `${field.label}: "${given}" is not a number. Expected ${field.example}.` });
    }
    case 'quantity':
      return parseQuantity(field, text, unit);
  }
}

function parseQuantity(field: Field, text: string, unit: string | null): Result<number> {
  const quantity = field.quantity as Quantity;
  const allowed = unitsOf[quantity] as readonly string[];
  const defaultUnit = (unit !== null && allowed.includes(unit) ? unit : baseUnit(quantity)) as Unit;
  const r = readingParse({ text, quantity, defaultUnit });
  if (!r.ok)
    return { ok: false, error: { ...r.error, path: field.name, message: `${field.label}: ${r.error.message}` } };
  return within(field, r.out.value);
}

function within(field: Field, n: number): Result<number> {
  const low = field.min !== undefined && n < field.min;
  const high = field.max !== undefined && n > field.max;
  const zero = field.positive && n <= 0;
  if (!low && !high && !zero) return ok(n);
  const must = zero ? 'must be above 0' : `must be from ${field.min ?? '…'} to ${field.max ?? '…'}`;
  return fail('out-of-range', field.name, { what: `${field.label} ${must}; ${n} was read.` });
}

function parseOrder(field: Field, text: string): Result<number[]> {
  const parts = text.split(/[\s,;\-\u2013]+/).filter((p) => p !== '');
  const order = parts.map(Number);
  const bad = order.some((n) => !Number.isInteger(n) || n < 1) || order.length === 0 || order.length > 12;
  if (bad)
    return fail('bad-input', field.name, {
      what: `${field.label}: write the cylinders in firing order, as ${field.example}.`
    });
  if (order[0] !== 1)
    return fail('bad-input', field.name, {
      what: `${field.label} begins with cylinder 1; ${order[0]} was read first.`
    });
  for (let n = 1; n <= order.length; n++) {
    const times = order.filter((x) => x === n).length;
    if (times !== 1)
      return fail('bad-input', field.name, {
        what: `${field.label}: ${order.length} cylinders are named, so each of 1 to ${order.length} must stand once; ${n} stands ${times === 0 ? 'nowhere' : `${times} times`}.`
      });
  }
  return ok(order);
}

function parseOffsets(field: Field, text: string): Result<number[]> {
  const offsets = text
    .split(/[\s;,]+/)
    .filter((p) => p !== '')
    .map(Number);
  const rising = offsets.every((d, k) => Number.isFinite(d) && (k === 0 ? d === 0 : d > offsets[k - 1]!));
  if (!rising || offsets.length === 0)
    return fail('bad-input', field.name, {
      what: `${field.label}: crank degrees in firing order, rising from 0, as ${field.example}.`
    });
  return ok(offsets);
}

/**
 * A curve as it is copied off a card: points apart by semicolons or lines, in each a speed or depression and one value,
 * or a least and a most. Answered as a flat list, point after point. The first figure must rise from point to point.
 */
function parsePoints(field: Field, text: string, size: 2 | 3): Result<number[]> {
  const out: number[] = [];
  const points = text
    .split(/[;\n]+/)
    // a line without a figure is a heading; where points are decimals, commas only stand between
    .filter((p) => /\d/.test(p))
    .map((p) => (p.includes('.') ? p.replaceAll(',', ' ') : p));
  for (const [k, point] of points.entries()) {
    const figures = (point.match(/\d+(?:[.,]\d+)?/g) ?? []).map((x) => Number(x.replace(',', '.')));
    if (figures.length !== size)
      return fail('bad-input', field.name, {
        what: `${field.label}: point ${k + 1}, "${point.trim()}", should have ${size} figures, as ${field.example}.`
      });
    if (size === 3 && figures[1]! > figures[2]!)
      return fail('bad-input', field.name, {
        what: `${field.label}: at ${figures[0]} the least, ${figures[1]}, is above the most, ${figures[2]}.`
      });
    if (k > 0 && figures[0]! <= out[(k - 1) * size]!)
      return fail('bad-input', field.name, {
        what: `${field.label}: ${figures[0]} comes after ${out[(k - 1) * size]}: the points must rise.`
      });
    out.push(...figures);
  }
  return points.length < 2
    ? fail('bad-input', field.name, { what: `${field.label}: two points at least, as ${field.example}.` })
    : ok(out);
}

type Pair = readonly [least: string, most: string, what: string];
export interface Conflict {
  names: string[];
  message: string;
}

/** Limits whose least is above their most. */
export const pairConflicts = (e: Engine, pairs: readonly Pair[]): Conflict[] =>
  pairs.flatMap(([low, high, what]) => {
    const [least, most] = [numberOf(e, low), numberOf(e, high)];
    return least !== undefined && most !== undefined && least > most
      ? [{ names: [low, high], message: `The least ${what} is above the most.` }]
      : [];
  });
