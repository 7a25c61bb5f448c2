import { z } from 'zod';
import { define } from '../define.ts';
import { finite as n } from '../building-blocks.ts';
import { throttleStop } from './throttle-stop.ts';
import * as s from './schemas.ts';

export const throttleCalcs = [
  define({
    name: 'throttle.stop',
    title: 'Turns of the full-throttle stop screw to a timing',
    formula: 'least squares timing over turns; turns where the line meets the target, less those of the last reading',
    source: 'Straight line by least squares',
    errors: ['too-few-readings', 'no-slope'],
    input: s.throttleStopInput,
    output: z.strictObject({ degPerTurn: n, turnsFromLast: n }),
    example: {
      in: {
        readings: [
          { turns: 0, btdc: 20 },
          { turns: 1, btdc: 22 }
        ],
        targetBtdc: 25
      },
      out: { degPerTurn: 2, turnsFromLast: 1.5 }
    },
    calculate: throttleStop
  })
];
