import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readingParse } from '$core/calculations/reading/reading-parse.ts';
import { formatTiming, formatValue } from '$core/units/format.ts';
import { unitsOf, type Quantity, type Unit } from '$core/units/units.ts';

const read = (text: string, quantity: Quantity, defaultUnit: Unit = unitsOf[quantity][0], perRevMm?: number) =>
  readingParse({ text, quantity, defaultUnit, ...(perRevMm ? { perRevMm } : {}) });
const value = (...a: Parameters<typeof read>) => {
  const r = read(...a);
  return r.ok ? r.out.value : r.error.code;
};

describe('what is typed at the bench', () => {
  it.each([
    ['0.0415in', 'length', 1.0541],
    ['.0415"', 'length', 1.0541],
    ['41.5 THOU', 'length', 1.0541],
    ['4 3/8', 'length', 111.125],
    ['4-3/8 in', 'length', 111.125],
    ['12 + 15 thou', 'length', 0.6858],
    ['0,30+0,35mm', 'length', 0.65],
    ['8 BTDC', 'timing', 8],
    ['3a', 'timing', -3],
    ['8.5° before', 'timing', 8.5],
    ["5 o'clock", 'bearing', 150],
    ['12:15', 'bearing', 7.5],
    ['-10', 'bearing', 350],
    ['720', 'bearing', 0],
    ['24 N·m', 'torque', 24],
    ['194F', 'temperature', 90],
    ['0', 'timing', 0],
    ['2.5', 'pitch', 2.5],
    ['2,5 mm', 'pitch', 2.5],
    ['2.5 mod', 'pitch', 2.5],
    ['10 DP', 'pitch', 2.54]
  ] as const)('"%s" as a %s', (text, quantity, want) => {
    expect(value(text, quantity)).toBeCloseTo(want as number, 9);
  });

  it('counts turns of a dial only when one turn is known', () => {
    expect(value('2r40', 'length', 'mm', 0.5)).toBeCloseTo(1.4);
    expect(value('2r 0.40', 'length', 'mm', 1)).toBeCloseTo(2.4);
    expect(value('2r40', 'length')).toBe('needs-per-rev');
  });

  it('knows how finely a diametral pitch was read, as a module', () => {
    const r = read('10.0 dp', 'pitch');
    // a tenth of DP at ten is a hundredth of the module
    expect(r.ok && r.out.resolution).toBeCloseTo(0.0254, 9);
    expect(r.ok && r.out.unit).toBe('DP');
  });

  it.each([
    ['', 'length', 'bad-reading'],
    ['1.2.3', 'length', 'bad-reading'],
    ['1 2', 'length', 'bad-reading'],
    ['3/8 mm', 'length', 'bad-reading'],
    ['-3/8', 'length', 'bad-reading'],
    ['12thou+15thou', 'length', 'bad-reading'],
    ['-8b', 'timing', 'bad-reading'],
    ['8b', 'angle', 'bad-reading'],
    ['5:30', 'angle', 'bad-reading'],
    ['3.5', 'count', 'bad-reading'],
    ['2,400', 'speed', 'bad-reading'],
    ['1e3', 'length', 'bad-reading'],
    ['0x10', 'count', 'bad-reading'],
    ['13:00', 'bearing', 'out-of-range'],
    ['0:30', 'bearing', 'out-of-range'],
    ['5:75', 'bearing', 'out-of-range'],
    ['3/0', 'length', 'out-of-range'],
    ['12 kPa', 'torque', 'wrong-unit'],
    ['10 thou', 'pitch', 'wrong-unit'],
    ['0 dp', 'pitch', 'bad-reading'],
    ['9'.repeat(400).slice(0, 200) + '9'.repeat(200), 'length', 'bad-reading']
  ] as const)('"%s" as a %s is %s', (text, quantity, code) => {
    expect(value(text, quantity)).toBe(code);
  });
});

describe('laws', () => {
  const plain = (['length', 'angle', 'pressure', 'torque', 'mass', 'temperature'] as const).flatMap((q) =>
    unitsOf[q].map((u) => [q, u] as const)
  );

  it('gives back the value that formatting printed, in every unit', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...plain),
        fc.double({ min: -500, max: 500, noNaN: true }),
        fc.integer({ min: 0, max: 4 }),
        ([q, u], x, decimals) => {
          const text = formatValue(x, u, decimals);
          const r = read(text, q);
          if (!r.ok) throw new Error(`${text}: ${r.error.message}`);
          expect(Math.abs(r.out.value - x)).toBeLessThanOrEqual(r.out.resolution / 2 + 1e-9);
          expect(formatValue(r.out.value, u, decimals)).toBe(text);
        }
      )
    );
  });

  it('gives back a timing that was printed in words', () => {
    fc.assert(
      fc.property(fc.integer({ min: -600, max: 600 }), (tenths) => {
        expect(value(formatTiming(tenths / 10), 'timing')).toBeCloseTo(tenths / 10, 9);
      })
    );
  });

  it('never throws and never answers NaN, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 30 }), fc.constantFrom(...(Object.keys(unitsOf) as Quantity[])), (text, q) => {
        const r = read(text, q);
        expect(r.ok ? Number.isFinite(r.out.value) && r.out.resolution > 0 : r.error.message.length > 5).toBe(true);
      })
    );
  });
});
