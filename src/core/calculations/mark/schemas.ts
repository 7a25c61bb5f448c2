import { z } from 'zod';
import { finite, notNegative } from '../building-blocks.ts';

export const markCheckInput = z.strictObject({
  markBtdc: finite,
  uDeg: notNegative,
  previous: z.strictObject({ errorDeg: finite, uDeg: notNegative }).optional()
});
