import { z } from 'zod';
import { finite, positive, turn } from '../building-blocks.ts';

export const staticAdjustInput = z.strictObject({
  measuredBtdc: finite,
  targetBtdc: finite,
  rotorDirection: turn.describe('seen from above'),
  ratio: positive.describe('degrees of distributor per degree of crank, 0.5 on a four-stroke'),
  rimDiameterMm: positive.optional()
});

export const staticGainInput = z.strictObject({
  moves: z.array(z.strictObject({ rimMm: finite, btdc: finite })),
  targetBtdc: finite
});
