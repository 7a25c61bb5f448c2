import { z } from 'zod';
import { finite, notNegative, positive, turn, wholeFromOne } from '../schemas.ts';

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

export const pointsDwellInput = z
  .strictObject({ cylinders: wholeFromOne, dwellDeg: positive, newDwellDeg: positive, ratio: positive })
  .refine((i) => Math.max(i.dwellDeg, i.newDwellDeg) <= 360 / i.cylinders + 1e-9, {
    path: ['dwellDeg'],
    message: 'dwell cannot exceed what one cylinder has of a turn'
  });

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
