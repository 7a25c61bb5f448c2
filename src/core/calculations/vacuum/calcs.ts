import { z } from 'zod';
import { define } from '../define.ts';
import { finite as n } from '../building-blocks.ts';
import { vacuumHold } from './vacuum-hold.ts';
import * as s from './schemas.ts';

export const vacuumCalcs = [
  define({
    name: 'vacuum.hold',
    title: 'Does the vacuum capsule hold?',
    formula: 'loss = (start − end)·60/seconds, against the most allowed',
    source: 'Arithmetic',
    errors: [],
    input: s.vacuumHoldInput,
    output: z.strictObject({ lossKpaPerMin: n, state: z.enum(['in', 'out']) }),
    example: {
      in: { startKpa: 50, endKpa: 48, seconds: 60, maxLossKpaPerMin: 3 },
      out: { lossKpaPerMin: 2, state: 'in' }
    },
    calculate: vacuumHold
  })
];
