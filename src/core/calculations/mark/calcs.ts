import { z } from 'zod';
import { define } from '../define.ts';
import { finite as n } from '../building-blocks.ts';
import { markCheck } from './mark-check.ts';
import * as s from './schemas.ts';

export const markCalcs = [
  define({
    name: 'mark.check',
    title: 'The mark’s error and whether it has moved',
    formula: 'moved when |change| > 2√(u² + u′²)',
    source:
      'Difference of two independent figures at two standard uncertainties, Guide to the expression of uncertainty in measurement (2008), 6',
    errors: [],
    input: s.markCheckInput,
    output: z.strictObject({ errorDeg: n, moved: z.boolean(), movedByDeg: n }),
    example: {
      in: { markBtdc: 0, uDeg: 0, previous: { errorDeg: 0, uDeg: 0 } },
      out: { errorDeg: 0, moved: false, movedByDeg: 0 }
    },
    calculate: markCheck
  })
];
