import { z } from 'zod';
import { define } from '../define.ts';
import { finite as n, notNegative } from '../building-blocks.ts';
import { flywheelMarks } from './flywheel-marks.ts';
import * as s from './schemas.ts';

export const flywheelCalcs = [
  define({
    name: 'flywheel.marks',
    title: 'Every cylinder’s mark round a flywheel',
    formula:
      'expected = i·360/n from cylinder one in firing order; error = measured − measured₁ − expected; a degree is πD/360',
    source: 'Even firing of a two-stroke; slider-crank',
    errors: ['geometry-impossible', 'drop-out-of-range'],
    input: s.flywheelMarksInput,
    output: z.strictObject({
      btdc: n,
      dropMm: n,
      mmPerDeg: n,
      marks: z.array(z.strictObject({ cylinder: n, expectedDeg: n, errorDeg: n.optional(), errorMm: n.optional() })),
      worstDeg: notNegative.optional(),
      state: z.enum(['in', 'out']).optional()
    }),
    example: {
      in: { firingOrder: [1, 2], strokeMm: 60, rodMm: 120, flywheelDiameterMm: 180, btdc: 0 },
      out: {
        btdc: 0,
        dropMm: 0,
        mmPerDeg: 1.570796,
        marks: [
          { cylinder: 1, expectedDeg: 0 },
          { cylinder: 2, expectedDeg: 180 }
        ]
      }
    },
    calculate: flywheelMarks
  })
];
