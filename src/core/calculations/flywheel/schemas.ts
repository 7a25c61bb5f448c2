import { z } from 'zod';
import { finite, notNegative, positive, slider, wholeFromOne } from '../building-blocks.ts';

export const flywheelMarksInput = z
  .strictObject({
    firingOrder: z.array(wholeFromOne).min(1).max(24),
    ...slider,
    btdc: notNegative.max(180).optional(),
    dropMm: positive.optional(),
    flywheelDiameterMm: positive,
    measured: z
      .array(z.strictObject({ cylinder: wholeFromOne, wheelDeg: finite }))
      .min(1)
      .optional()
      .describe('marks as they were found, rising in the running direction; cylinder one among them'),
    toleranceDeg: notNegative.default(1)
  })
  .refine((i) => (i.btdc === undefined) !== (i.dropMm === undefined), 'either a timing or a drop is given')
  .refine(
    ({ firingOrder: o }) => o.includes(1) && new Set(o).size === o.length,
    'the firing order holds cylinder one, and none twice'
  )
  .refine(
    ({ measured: m, firingOrder }) =>
      m === undefined ||
      (m.some((x) => x.cylinder === 1) &&
        new Set(m.map((x) => x.cylinder)).size === m.length &&
        m.every((x) => firingOrder.includes(x.cylinder))),
    'the marks found hold cylinder one, none twice and none that the engine has not'
  );
