import { z } from 'zod';
import { notNegative } from '../building-blocks.ts';

export const timingBudgetInput = z.strictObject({
  terms: z
    .array(
      z
        .strictObject({ name: z.string().min(1), uDeg: notNegative.optional(), halfWidthDeg: notNegative.optional() })
        .refine(
          (t) => (t.uDeg === undefined) !== (t.halfWidthDeg === undefined),
          'give the uncertainty or the half-width, one of the two'
        )
    )
    .min(1)
});
