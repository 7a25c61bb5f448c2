import { z } from 'zod';
import { define } from '../define.ts';
import { finite as n, notNegative } from '../building-blocks.ts';
import { gaugeCombine } from './gauge-combine.ts';
import * as s from './schemas.ts';

export const gaugeCalcs = [
  define({
    name: 'gauge.combine',
    title: 'Mean of repeated readings and its uncertainty',
    formula:
      'mean; s = sample standard deviation; uA = s/√n; uB = √(resolution²/12 + accuracy²/3); u = √(uA² + uB²); spread = max − min',
    source:
      'Guide to the expression of uncertainty in measurement (2008), 4.2 and 4.3.7: step and stated ± taken as rectangular',
    errors: [],
    input: s.gaugeCombineInput,
    output: z.strictObject({
      mean: n,
      s: notNegative,
      uA: notNegative,
      uB: notNegative,
      u: notNegative,
      spread: notNegative
    }),
    example: {
      in: { readings: [0.47], gauge: { resolution: 0.01, accuracy: 0.01 } },
      out: { mean: 0.47, s: 0, uA: 0, uB: 0.006454972, u: 0.006454972, spread: 0 }
    },
    calculate: gaugeCombine
  })
];
