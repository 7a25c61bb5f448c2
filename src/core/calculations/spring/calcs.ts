import { z } from 'zod';
import { define } from '../define.ts';
import { finite as n, notNegative } from '../building-blocks.ts';
import { springRate } from './spring-rate.ts';
import * as s from './schemas.ts';

export const springCalcs = [
  define({
    name: 'spring.rate',
    title: 'A spring’s rate from hanging weights',
    formula:
      'least squares F = a + kL, F = m·g; uRate = rate·s/√Σ(L − mean)², s the learnt scatter of a length pooled with the fit’s own, stretched by Student’s factor; null where nothing tells it; installed force a + k·installed length, its doubt rate·s·√(1 + 1/n + (L − mean)²/Σ(L − mean)²)',
    source: 'Hooke’s law; standard gravity 9.80665 m/s², exact by definition',
    errors: ['too-few-readings'],
    input: s.springRateInput,
    output: z.strictObject({
      rateNPerMm: n,
      uRate: notNegative.nullable(),
      installedForceN: n.optional(),
      uInstalledForceN: notNegative.nullable().optional()
    }),
    example: {
      in: {
        loads: [
          { massG: 100, lengthMm: 14.2 },
          { massG: 400, lengthMm: 16 }
        ]
      },
      out: { rateNPerMm: 1.634442, uRate: null }
    },
    calculate: springRate
  })
];
