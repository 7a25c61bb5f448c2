import { z } from 'zod';
import { define } from '../define.ts';
import { finite as n } from '../building-blocks.ts';
import { meshPattern } from './mesh-pattern.ts';
import * as s from './schemas.ts';

export const meshCalcs = [
  define({
    name: 'mesh.pattern',
    title: 'Contact patch on the tooth',
    formula:
      'centre = (low + high)/2/face; deeper = (0.5 − centre)·face; centred within the tolerance; an edge within 5 % of either end',
    source: 'Geometry of the tooth; the 5 % and the usual tenth are our own assumption',
    errors: [],
    input: s.patternInput,
    output: z.strictObject({
      centreFraction: n,
      lengthFraction: n,
      deeperMm: n,
      state: z.enum(['centred', 'low', 'high']),
      edgeContact: z.boolean()
    }),
    example: {
      in: { contactLowMm: 2, contactHighMm: 8, faceWidthMm: 20 },
      out: { centreFraction: 0.25, lengthFraction: 0.3, deeperMm: 5, state: 'low', edgeContact: false }
    },
    calculate: meshPattern
  })
];
