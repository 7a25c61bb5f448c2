import { z } from 'zod';
import { define } from '../define.ts';
import { finite as n, notNegative } from '../building-blocks.ts';
import { staticAdjust } from './static-adjust.ts';
import { staticGain } from './static-gain.ts';
import * as s from './schemas.ts';

export const staticTimingCalcs = [
  define({
    name: 'static.adjust',
    title: 'Housing turn from measured to target timing',
    formula:
      'change = target − measured; housing = |change|·ratio, against the rotor to advance, with it to retard; rim = πD·housing/360',
    source: 'Gear ratio and geometry of the circle',
    errors: [],
    input: s.staticAdjustInput,
    output: z.strictObject({
      changeCrankDeg: n,
      housingDeg: notNegative,
      turn: z.enum(['cw', 'ccw', 'none']),
      rimMm: n.optional()
    }),
    example: {
      in: { measuredBtdc: 4, targetBtdc: 11, rotorDirection: 'ccw', ratio: 0.5 },
      out: { changeCrankDeg: 7, housingDeg: 3.5, turn: 'cw' }
    },
    calculate: staticAdjust
  }),
  define({
    name: 'static.gain',
    title: 'What a millimetre at the rim does',
    formula: 'least-squares line btdc = a + b·rim; degrees a millimetre b, rim for the target (target − a)/b',
    source: 'Ordinary least squares',
    errors: ['too-few-readings', 'no-slope'],
    input: s.staticGainInput,
    output: z.strictObject({ degPerMm: n, rimMm: n }),
    example: {
      in: {
        moves: [
          { rimMm: 0, btdc: 4 },
          { rimMm: 3, btdc: 10 }
        ],
        targetBtdc: 8
      },
      out: { degPerMm: 2, rimMm: 2 }
    },
    calculate: staticGain
  })
];
