import { z } from 'zod';
import { finite, positive, turn } from '../schemas.ts';

export const staticAdjustInput = z.strictObject({
  measuredBtdc: finite,
  targetBtdc: finite,
  rotorDirection: turn.describe('seen from above'),
  ratio: positive.describe('degrees of distributor per degree of crank, 0.5 on a four-stroke'),
  rimDiameterMm: positive.optional()
});
