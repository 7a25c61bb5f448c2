import { z } from 'zod';
import { finite } from '../building-blocks.ts';

export const throttleStopInput = z.strictObject({
  readings: z
    .array(z.strictObject({ turns: finite.describe('turns of the screw from wherever counting began'), btdc: finite }))
    .max(200),
  targetBtdc: finite
});
