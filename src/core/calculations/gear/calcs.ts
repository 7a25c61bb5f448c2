import { z } from 'zod';
import { define } from '../define.ts';
import { gearCompare } from './gear-compare.ts';
import * as s from './schemas.ts';

export const gearCalcs = [
  define({
    name: 'gear.compare',
    title: 'New drive gear against old and cam',
    formula:
      'equal teeth and hand; module within 1 %, bore within 0.02 mm, outside within 0.5 %; pairs of materials as listed',
    source: 'Comparison; tolerances and the list of pairs are our own assumption, the cam’s maker has the last word',
    errors: [],
    input: s.gearCompareInput,
    output: z.strictObject({
      ok: z.boolean(),
      findings: z.array(z.strictObject({ code: z.string(), severity: z.enum(['stop', 'warn', 'note']) }))
    }),
    example: {
      in: {
        old: { teeth: 14, hand: 'right', moduleMm: 1.5 },
        new: { teeth: 14, hand: 'right', dp: 17 },
        camMaterial: 'cast-iron',
        gearMaterial: 'cast-iron'
      },
      out: { ok: true, findings: [{ code: 'confirm-with-cam-maker', severity: 'note' }] }
    },
    calculate: gearCompare
  })
];
