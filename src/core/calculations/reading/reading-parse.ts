import type { z } from 'zod';
import { wrap360 } from '../../numerics/angles.ts';
import { fail } from '../../errors/catalogue.ts';
import { ok, type Result } from '../../errors/result.ts';
import { stepToBase, toBase, unitSize, unitsOf, type Quantity, type Unit } from '../../units/units.ts';
import type { readingParseInput } from './schemas.ts';

export interface ParsedReading {
  value: number;
  resolution: number;
  unit: Unit | 'clock';
}

type Input = z.infer<typeof readingParseInput>;

/** A number as typed: decimals counted, because the last digit typed is how finely it was read. */
const NUMBER = String.raw`(?:\d+(?:[.,]\d*)?|[.,]\d+)`;
const SIGN = '[+\u2212-]?';
const MIXED = /^([+\-\u2212]?)\s?(?:(\d{1,6}) )?(\d{1,4})\/(\d{1,4})(.*)$/;
const PLAIN = new RegExp(`^(${SIGN})\\s*(${NUMBER})\\s*(.*)$`);
const SUM = new RegExp(`^(${NUMBER}(?:\\s*\\+\\s*${NUMBER})+)\\s*(.*)$`);
const FRACTION = /^(?:(\d+)(?:\s+|\s*-\s*))?(\d+)\s*\/\s*(\d+)\s*(.*)$/;
const DIAL = new RegExp(`^(\\d+)\\s*r(?:evs?)?\\s*\\+?\\s*(${NUMBER})\\s*(.*)$`);
const TIMING = new RegExp(
  `^(${NUMBER})\\s*(?:°|deg|degrees)?\\s*(b|bt|btdc|before|before tdc|before top|a|atdc|after|after tdc|after top)$`
);
const CLOCK_MINUTES = /^(\d{1,2})\s*:\s*(\d{2})(?:\s*o['\u2019]?\s*clock)?$/;
const CLOCK_HOUR = /^(\d{1,2})\s*o['\u2019]?\s*clock$/;

/** A torque's pounds and length in either order, as `lbft`, `lbfft`, `ftlb` and `ftlbs`; marks between them are taken off before. */
function spelled(lengths: readonly string[], unit: Unit): Record<string, Unit> {
  const pounds = ['lb', 'lbs', 'lbf'];
  return Object.fromEntries(
    lengths.flatMap((l) => pounds.flatMap((p) => [[p + l, unit] as const, [l + p, unit] as const]))
  );
}

const UNIT_WORDS: Record<string, Unit> = {
  mm: 'mm',
  in: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  thou: 'thou',
  deg: 'deg',
  degrees: 'deg',
  '°': 'deg',
  kpa: 'kPa',
  inhg: 'inHg',
  psi: 'psi',
  bar: 'bar',
  nm: 'Nm',
  ...spelled(['ft', 'foot'], 'lbft'),
  ...spelled(['in', 'inch'], 'lbin'),
  rpm: 'rpm',
  'rev/min': 'rpm',
  'r/min': 'rpm',
  g: 'g',
  c: 'C',
  '°c': 'C',
  f: 'F',
  '°f': 'F',
  count: 'count',
  turn: 'turn',
  turns: 'turn',
  module: 'module',
  mod: 'module',
  dp: 'DP'
};

const EXPECTED: Record<Quantity, string> = {
  length: 'a length such as 1.05 mm, 41.5 thou, 3/8 or 0.30+0.35',
  angle: 'an angle such as 342.5',
  timing: 'a timing such as 8b, 3 after or tdc',
  bearing: 'a bearing such as 145 or a clock such as 5:30',
  pressure: 'a pressure such as 33 kPa, 11 inHg, 40 psi or 2.8 bar',
  torque: 'a torque such as 24 Nm, 18 lb-ft or 150 lb-in',
  speed: 'a speed such as 950 rpm, without a thousands comma',
  mass: 'a mass such as 12 g',
  temperature: 'a temperature such as 90C',
  count: 'a whole number',
  turns: 'turns of the screw, as 1.5 or 1 1/2',
  pitch: 'a pitch such as 2.5 module or 10 DP'
};

/**
 * Reads a figure the way it is read aloud at the bench.
 * Grammar: number with optional unit, with a fraction where the scale has one (`11 3/4`); for lengths fractions of an inch, sums of stacked blades and dial turns;
 * for timings `8b`, `3 after`, `tdc`; for bearings a clock. A decimal comma is a decimal point. Stacked blades are marked sizes: their
 * sum is as fine as the finest part. A dial's pointer is in the dial's own unit.
 * @returns value and resolution (one unit of the last digit typed) in the base unit, and the unit understood
 * Errors: `bad-reading`, `wrong-unit`, `out-of-range`, `needs-per-rev`.
 * @example readingParse({ text: '12+15 thou', quantity: 'length', defaultUnit: 'mm' })  // 0.6858 mm ± 0.0254
 */
export function readingParse(i: Input): Result<ParsedReading> {
  const text = i.text.trim().toLowerCase().replace(/\s+/g, ' ');
  if (text === '') return bad(i);
  return mixed(text, i) ?? special(text, i) ?? plain(text, i);
}

/** A whole number and a fraction of any scale, as `11 3/4` or `7 1/2b`; lengths have inches of their own. */
function mixed(text: string, i: Input): Result<ParsedReading> | null {
  const m = i.quantity === 'length' || i.quantity === 'count' ? null : MIXED.exec(text);
  if (!m) return null;
  const over = Number(m[4]);
  if (over === 0)
    return fail('out-of-range', 'text', { what: `"${i.text}" divides by 0. Type the fraction again, as 11 3/4.` });
  const value = Number(m[2] ?? 0) + Number(m[3]) / over;
  const as = `${m[1]}${value.toFixed(6)}${m[5]}`;
  const read = special(as, i) ?? plain(as, i);
  if (!read.ok) return read.error.code === 'bad-reading' ? bad(i) : read;
  const unit = read.out.unit === 'clock' ? 'deg' : read.out.unit;
  return ok({ ...read.out, resolution: stepToBase(1 / over, value, unit as Unit) });
}

const bad = (i: Input) => fail('bad-reading', 'text', { text: i.text, expected: EXPECTED[i.quantity] });

/** The forms that belong to one quantity only; null when the text is none of them. */
function special(text: string, i: Input): Result<ParsedReading> | null {
  if (i.quantity === 'length') return dial(text, i) ?? fraction(text, i) ?? sum(text, i);
  if (i.quantity === 'timing') return timing(text, i);
  if (i.quantity === 'bearing') return clock(text, i);
  return null;
}

function plain(text: string, i: Input): Result<ParsedReading> {
  const m = PLAIN.exec(text);
  if (!m) return bad(i);
  const unit = resolveUnit(m[3]!, i);
  if (typeof unit !== 'string') return unit;
  const digits = m[2]!;
  const wholeOnly = i.quantity === 'speed' || i.quantity === 'count';
  if (wholeOnly && /,\d{3}$/.test(digits)) return bad(i);
  const n = number(digits);
  if (i.quantity === 'count' && n.decimals > 0) return bad(i);
  const signed = m[1] === '' || m[1] === '+' ? n.value : -n.value;
  const value = toBase(signed, unit);
  return finish(i.quantity === 'bearing' ? wrap360(value) : value, stepToBase(n.step, n.value, unit), unit, i);
}

function dial(text: string, i: Input): Result<ParsedReading> | null {
  const m = DIAL.exec(text);
  if (!m) return null;
  if (i.perRevMm === undefined) return fail('needs-per-rev', 'text', { text: i.text });
  const inches = (i.dialUnit ?? ownUnit(i.perRevMm)) === 'in';
  const unit = m[3] === '' ? (inches ? 'in' : 'mm') : resolveUnit(m[3]!, i);
  if (typeof unit !== 'string') return unit;
  const [size, division] = unit === 'mm' ? [1, 0.01] : [25.4, 0.0254];
  const n = number(m[2]!);
  // whole numbers count small divisions, unless a unit says what they are
  const counted = unit === 'thou' || (n.decimals === 0 && m[3] === '');
  return finish(Number(m[1]) * i.perRevMm + n.value * (counted ? division : size), inches ? 0.0254 : 0.01, unit, i);
}

/** The unit of a dial's divisions by one turn of its pointer: whole thousandths of an inch that are no whole twentieths of a millimetre. */
function ownUnit(perRevMm: number): 'mm' | 'in' {
  const whole = (x: number) => Math.abs(x - Math.round(x)) < 1e-6;
  return whole(perRevMm / 0.0254) && !whole(perRevMm / 0.05) ? 'in' : 'mm';
}

function fraction(text: string, i: Input): Result<ParsedReading> | null {
  const m = FRACTION.exec(text);
  if (!m) return null;
  if (m[4] !== '' && UNIT_WORDS[m[4]!] !== 'in') return bad(i);
  const over = Number(m[3]);
  if (over === 0)
    return fail('out-of-range', 'text', { what: `"${i.text}" divides by 0. Type the fraction again, as 3/8.` });
  return finish((Number(m[1] ?? 0) + Number(m[2]) / over) * 25.4, 25.4 / over, 'in', i);
}

function sum(text: string, i: Input): Result<ParsedReading> | null {
  const m = SUM.exec(text);
  if (!m) return null;
  const unit = resolveUnit(m[2]!, i);
  if (typeof unit !== 'string') return unit;
  const parts = m[1]!.split('+').map((p) => number(p.trim()));
  const total = parts.reduce((t, p) => t + p.value, 0);
  return finish(total * unitSize[unit], Math.min(...parts.map((p) => p.step)) * unitSize[unit], unit, i);
}

function timing(text: string, i: Input): Result<ParsedReading> | null {
  if (text === 'tdc') return ok({ value: 0, resolution: 1, unit: 'deg' });
  const m = TIMING.exec(text);
  if (!m) return null;
  const n = number(m[1]!);
  return finish(m[2]!.startsWith('b') || n.value === 0 ? n.value : -n.value, n.step, 'deg', i);
}

function clock(text: string, i: Input): Result<ParsedReading> | null {
  const m = CLOCK_MINUTES.exec(text) ?? CLOCK_HOUR.exec(text);
  if (!m) return null;
  const hour = Number(m[1]);
  const minutes = Number(m[2] ?? 0);
  if (hour < 1 || hour > 12 || minutes > 59)
    return fail('out-of-range', 'text', {
      what: `"${i.text}" is not on a clock face. Hours go from 1 to 12, minutes to 59.`
    });
  return ok({ value: (hour % 12) * 30 + minutes / 2, resolution: m[2] === undefined ? 30 : 0.5, unit: 'clock' });
}

function resolveUnit(word: string, i: Input): Unit | Result<never> {
  if (word === '') return i.defaultUnit;
  const key = word.replace(/[\s\u22c5\u2022·-]+/g, '');
  const unit = Object.hasOwn(UNIT_WORDS, key) ? UNIT_WORDS[key] : undefined;
  if (unit === undefined) return bad(i);
  // a module is often called by its millimetres
  if (i.quantity === 'pitch' && unit === 'mm') return 'module';
  const allowed = unitsOf[i.quantity] as readonly Unit[];
  if (!allowed.includes(unit))
    return fail('wrong-unit', 'text', { unit: unit, quantity: i.quantity, expected: allowed.join(', ') });
  return unit;
}

function number(text: string): { value: number; decimals: number; step: number } {
  const normal = text.replace(',', '.');
  const point = normal.indexOf('.');
  const decimals = point < 0 ? 0 : normal.length - point - 1;
  return { value: Number(normal), decimals, step: Number(`1e-${decimals}`) };
}

function finish(value: number, resolution: number, unit: Unit, i: Input): Result<ParsedReading> {
  // only an absurd run of digits gets here without being finite
  if (!Number.isFinite(value)) return bad(i);
  return ok({ value: value === 0 ? 0 : value, resolution, unit });
}
