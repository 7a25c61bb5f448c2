import { z } from 'zod';
import { gauge, notNegative, positive } from '../building-blocks.ts';

export const springRateInput = z.strictObject({
  loads: z.array(z.strictObject({ massG: notNegative, lengthMm: notNegative })),
  lengthGauge: gauge.optional().describe('what the lengths were read with'),
  installedLengthMm: positive.optional()
});
