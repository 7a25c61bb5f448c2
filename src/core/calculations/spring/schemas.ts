import { z } from 'zod';
import { notNegative, positive } from '../building-blocks.ts';

export const springRateInput = z.strictObject({
  loads: z.array(z.strictObject({ massG: notNegative, lengthMm: notNegative })),
  installedLengthMm: positive.optional()
});
