import { fieldOf } from '$core/sheets/data-sheet.ts';
import { describe, expect, it } from 'vitest';
import { parseSheetValue } from '$core/sheets/data-sheet.ts';
import { givenText } from '$lib/reader/given.ts';

const shown = (name: string, given: string, unit: string | null = null) => {
  const read = parseSheetValue(name, given, unit);
  if (!read.ok) throw new Error(read.error.message);
  return givenText(fieldOf(name), { name, given, unit, value: read.out, source: 'plate' });
};

describe('a value of the data sheet as it is printed', () => {
  it.each([
    ['firingOrder', '1 5 3 6 2 4', null, '1-5-3-6-2-4'],
    ['firingOffsets', '0 90 360 450', null, '0° 90° 360° 450°'],
    ['advanceBand', '650 7-11; 1800 19-24', null, '650 rpm 7–11°, 1,800 rpm 19–24°'],
    ['vacuumCurve', '15 0; 25 6', null, '15 kPa 0°, 25 kPa 6°'],
    ['runningDirection', 'ccw', null, 'anticlockwise'],
    ['staticBtdc', '7', null, '7° before'],
    ['staticBtdc', '2 after', null, '2° after'],
    ['staticBtdc', '7.5', null, '7.5° before'],
    // lengths stay in the unit in which they were given, said once
    ['strokeMm', '92', 'mm', '92 mm'],
    ['strokeMm', '4 1/8', 'in', '4 1/8 in'],
    ['strokeMm', '92 mm', 'mm', '92 mm'],
    ['gearModuleMm', '2.5', 'module', '2.5 module'],
    ['gearModuleMm', '10', 'DP', '10 DP'],
    ['gearModuleMm', '10 DP', 'module', '10 DP'],
    ['ratio', '0,5', null, '0,5']
  ])('%s of %s', (name, given, unit, want) => {
    expect(shown(name, given, unit)).toBe(want);
  });
});
