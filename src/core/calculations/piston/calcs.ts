import { z } from 'zod';
import { define } from '../define.ts';
import { finite as n, notNegative } from '../building-blocks.ts';
import { pistonAngle } from './piston-angle.ts';
import { pistonAt } from './piston-at.ts';
import * as s from './schemas.ts';

export const pistonCalcs = [
  define({
    name: 'piston.at',
    title: 'Piston drop at a crank angle',
    formula: 'drop = y(φtop) − y(φtop + crank), y(φ) = r cos φ + √(l² − (r sin φ − e)²), sin φtop = e/(l + r)',
    source: 'Exact slider-crank triangle with offset pin; no series',
    errors: ['geometry-impossible'],
    input: s.pistonAtInput,
    output: z.strictObject({ dropMm: notNegative, slopeMmPerDeg: n }),
    example: { in: { strokeMm: 82, rodMm: 140, crankDeg: 180 }, out: { dropMm: 82, slopeMmPerDeg: 6.196968e-17 } },
    calculate: pistonAt
  }),
  define({
    name: 'piston.angle',
    title: 'Crank angles at a piston drop',
    formula: 'closed form from the two circles that meet in the pin; bias = (after − before)/2',
    source: 'Exact slider-crank triangle with offset pin',
    errors: ['geometry-impossible', 'drop-out-of-range'],
    input: s.pistonAngleInput,
    output: z.strictObject({ beforeDeg: notNegative, afterDeg: notNegative, biasDeg: n }),
    example: { in: { strokeMm: 82, rodMm: 140, dropMm: 0 }, out: { beforeDeg: 0, afterDeg: 0, biasDeg: 0 } },
    calculate: pistonAngle
  })
];
