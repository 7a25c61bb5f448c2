import { z } from 'zod';
import { define } from '../define.ts';
import { finite as n, notNegative } from '../building-blocks.ts';
import { timingBudget } from './timing-budget.ts';
import * as s from './schemas.ts';

export const timingCalcs = [
  define({
    name: 'timing.budget',
    title: 'What makes up the uncertainty of a setting',
    formula: 'u = √Σu²; a half-width counts as half-width/√3; expanded 2u; share = u²/Σu², largest first',
    source: 'Guide to the expression of uncertainty in measurement (2008), 5.1 and 4.3.7',
    errors: [],
    input: s.timingBudgetInput,
    output: z.strictObject({
      uDeg: notNegative,
      expandedDeg: notNegative,
      shares: z.array(z.strictObject({ name: z.string(), uDeg: notNegative, share: n }))
    }),
    example: {
      in: {
        terms: [
          { name: 'b', uDeg: 0 },
          { name: 'a', uDeg: 0 }
        ]
      },
      out: {
        uDeg: 0,
        expandedDeg: 0,
        shares: [
          { name: 'a', uDeg: 0, share: 0 },
          { name: 'b', uDeg: 0, share: 0 }
        ]
      }
    },
    calculate: timingBudget
  })
];
