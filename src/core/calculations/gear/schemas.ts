import { z } from 'zod';
import { positive, wholeFromOne } from '../building-blocks.ts';

const gear = z
  .strictObject({
    teeth: wholeFromOne.optional(),
    hand: z.enum(['right', 'left']).optional(),
    moduleMm: positive.optional(),
    dp: positive.optional(),
    boreMm: positive.optional(),
    outsideDiameterMm: positive.optional()
  })
  .refine((g) => g.moduleMm === undefined || g.dp === undefined, {
    path: ['dp'],
    message: 'give the module or the diametral pitch, one of the two'
  });

export const gearCompareInput = z.strictObject({
  old: gear,
  new: gear,
  camMaterial: z.enum(['cast-iron', 'steel', 'steel-iron-gear']),
  gearMaterial: z.enum(['cast-iron', 'nitrided-iron', 'hardened-steel', 'bronze', 'polymer'])
});
