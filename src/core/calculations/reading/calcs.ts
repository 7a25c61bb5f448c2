import { z } from 'zod';
import { define } from '../define.ts';
import { finite as n, notNegative } from '../building-blocks.ts';
import { unitsOf, type Unit } from '../../units/units.ts';
import { readingParse } from './reading-parse.ts';
import * as s from './schemas.ts';

const unit = z.enum([...new Set(Object.values(unitsOf).flat())] as [Unit, ...Unit[]]);

export const readingCalcs = [
  define({
    name: 'reading.parse',
    title: 'Reads a figure as it is said at the bench',
    formula:
      'number, fraction, sum, turns of a dial, clock place or before/after, times the size of its unit; resolution is one in the last digit typed, a binary fraction its denominator',
    source: 'Grammar of our own; sizes of units as in units/units.ts (SI, exact)',
    errors: ['bad-reading', 'wrong-unit', 'needs-per-rev', 'out-of-range'],
    input: s.readingParseInput,
    output: z.strictObject({ value: n, resolution: notNegative, unit: z.union([unit, z.literal('clock')]) }),
    example: { in: { text: 'tdc', quantity: 'timing', defaultUnit: 'deg' }, out: { value: 0, resolution: 1 } },
    calculate: readingParse
  })
];
