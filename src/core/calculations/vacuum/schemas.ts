import { z } from 'zod';
import { finite, notNegative, positive } from '../building-blocks.ts';

export const vacuumHoldInput = z.strictObject({
  startKpa: finite,
  endKpa: finite,
  seconds: positive,
  maxLossKpaPerMin: notNegative
});
