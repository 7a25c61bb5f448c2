import { z } from 'zod';
import { define } from '../define.ts';
import { finite as n, notNegative, scatterUnknown } from '../building-blocks.ts';
import { gaugeCombine } from './gauge-combine.ts';
import * as s from './schemas.ts';

export const gaugeCalcs = [
  define({
    name: 'gauge.combine',
    title: 'Mean of repeated readings and its uncertainty',
    formula:
      'mean; s = sample standard deviation; s² pooled with the learnt scatter by degrees of freedom; uA = s/√n·t(ν)/2; u² = max(uA, resolution/√12)² + accuracy²/3; uB = √(resolution²/12 + accuracy²/3); spread = max − min',
    source:
      'Guide to the expression of uncertainty in measurement (2008), 4.2, 4.3.7 and G.3.2: step and stated ± taken as rectangular, few repeats stretched by Student’s factor at 95.45 %',
    errors: [],
    input: s.gaugeCombineInput,
    output: z.strictObject({
      mean: n,
      s: notNegative,
      uA: notNegative,
      uB: notNegative,
      u: notNegative,
      spread: notNegative,
      scatterUnknown
    }),
    example: {
      in: { readings: [0.47], gauge: { resolution: 0.01, accuracy: 0.01 } },
      out: { mean: 0.47, s: 0, uA: 0, uB: 0.006454972, u: 0.006454972, spread: 0, scatterUnknown: true }
    },
    calculate: gaugeCombine
  })
];
