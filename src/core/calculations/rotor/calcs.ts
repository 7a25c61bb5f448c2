import { z } from 'zod';
import { define } from '../define.ts';
import { finite as n } from '../building-blocks.ts';
import { rotorPhasing } from './rotor-phasing.ts';
import * as s from './schemas.ts';

export const rotorCalcs = [
  define({
    name: 'rotor.phasing',
    title: 'Rotor against terminal when the spark comes',
    formula:
      'overlap = (tip + terminal)/2 − radius·|offset|; spark gap = √(radial² + max(0, −overlap)²), likewise to the neighbour; crossfire when it reaches half of that',
    source: 'Geometry of the cap; the half is our own assumption',
    errors: [],
    input: s.rotorPhasingInput,
    output: z.strictObject({
      ends: z.array(z.strictObject({ shiftDeg: n, offsetDeg: n, overlapMm: n, sparkGapMm: n, neighbourGapMm: n })),
      state: z.enum(['good', 'crossfire', 'marginal']),
      bestBaseOffsetDeg: n
    }),
    example: {
      in: {
        tipRadiusMm: 22,
        tipWidthMm: 6,
        terminalWidthMm: 5,
        radialGapMm: 0.7,
        terminals: 6,
        baseOffsetDeg: -4,
        shiftRangeDeg: [0, 0]
      },
      out: {
        ends: [
          { shiftDeg: 0, offsetDeg: -4, overlapMm: 3.96411, sparkGapMm: 0.7, neighbourGapMm: 16.01776 },
          { shiftDeg: 0, offsetDeg: -4, overlapMm: 3.96411, sparkGapMm: 0.7, neighbourGapMm: 16.01776 }
        ],
        state: 'good',
        bestBaseOffsetDeg: 0
      }
    },
    calculate: rotorPhasing
  })
];
