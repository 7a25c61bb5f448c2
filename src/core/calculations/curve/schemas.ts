import { z } from 'zod';
import { finite, gauge, notNegative, positive, wholeFromOne } from '../building-blocks.ts';

const knot = z.strictObject({ rpm: notNegative, deg: finite });

export const knots = z.array(knot).min(1).max(5000);

/** A curve that is worked through degree by degree: no advance reaches half a turn. */
const HALF_TURN = 180;

const advanceCurve = z
  .array(z.strictObject({ rpm: notNegative, deg: finite.min(-HALF_TURN).max(HALF_TURN) }))
  .min(1)
  .max(5000);

const advanceStop = positive.max(HALF_TURN);

export const spring = z.strictObject({
  rateNPerMm: positive,
  preloadN: finite,
  uRateNPerMm: notNegative.optional(),
  uPreloadN: notNegative.optional()
});

export const curveAtInput = z.strictObject({ knots, rpm: z.array(finite).max(20000) });

export const curveTotalInput = z.strictObject({
  initialBtdc: finite,
  centrifugal: knots,
  vacuum: z.array(z.strictObject({ kpa: finite, deg: finite })),
  at: z.array(z.strictObject({ rpm: finite, kpa: finite })).max(20000)
});

export const swapSpringsInput = z.strictObject({
  baseline: advanceCurve,
  from: z.array(spring).min(1),
  to: z.array(spring).min(1),
  extensionMmPerDeg: positive,
  stopDeg: advanceStop,
  uBaselineRpm: notNegative.optional().describe('standard uncertainty of the speeds of the measured curve'),
  snapOverDeg: notNegative.optional().describe('the weights snap out only over more than this; left out: over anything')
});

const uniqueIds = <T extends { id: string }>(list: T[]) => new Set(list.map((x) => x.id)).size === list.length;

/** About a second of work: who asks over the network must not hold up everybody else. */
const MOST_STEPS = 1e8;

export const curveMatchInput = z
  .strictObject({
    baseline: advanceCurve,
    from: z.array(spring).min(1),
    extensionMmPerDeg: positive,
    target: z
      .array(z.strictObject({ rpm: finite, deg: finite, weight: notNegative.default(1) }))
      .min(1)
      .max(500),
    tray: z.strictObject({
      springs: z
        .array(
          z.strictObject({
            id: z.string().min(1),
            rateNPerMm: positive,
            preloadN: finite,
            count: z.number().int().min(0)
          })
        )
        .max(2000)
        .refine(uniqueIds, 'holds an id twice'),
      stops: z
        .array(z.strictObject({ id: z.string().min(1), deg: advanceStop }))
        .max(500)
        .refine(uniqueIds, 'holds an id twice')
    }),
    initial: z
      .strictObject({ minBtdc: finite, maxBtdc: finite, stepDeg: positive.default(0.5) })
      .refine((i) => i.minBtdc <= i.maxBtdc, 'the least must not be above the most'),
    limits: z.strictObject({
      totalMaxBtdc: finite.optional(),
      idleRpm: notNegative.optional(),
      creepMaxDeg: finite.optional()
    }),
    snapOverDeg: notNegative
      .optional()
      .describe('the weights snap out only over more than this; left out: over anything'),
    top: wholeFromOne.default(5)
  })
  .refine((i) => (i.tray.springs.length ** 2 / 2) * i.tray.stops.length * i.target.length <= MOST_STEPS, {
    path: ['tray'],
    message: 'is too large to try every pair with every stop at every target point: search a part of it at a time'
  })
  .refine((i) => i.target.some((t) => t.weight > 0), { path: ['target'], message: 'needs some weight' });

export const curveFitInput = z.strictObject({
  points: z.array(knot).max(2000),
  maxRamps: z.union([z.literal(1), z.literal(2)]).default(2),
  strobe: gauge.optional().describe('what the degrees were read with'),
  tacho: gauge.optional().describe('what the speeds were read with')
});

export const curveCompareInput = z.strictObject({
  measured: z.array(z.strictObject({ rpm: notNegative, deg: finite, dir: z.enum(['up', 'down']).optional() })),
  spec: z
    .array(
      z
        .strictObject({ rpm: notNegative, minDeg: finite, maxDeg: finite })
        .refine((s) => s.minDeg <= s.maxDeg, 'the least must not be above the most')
    )
    .min(1),
  uDeg: notNegative
});

export const curveIntervalInput = z
  .strictObject({
    angles: z.array(z.strictObject({ cylinder: wholeFromOne, distributorDeg: finite })),
    toleranceDeg: notNegative
  })
  .refine((i) => new Set(i.angles.map((a) => a.cylinder)).size === i.angles.length, {
    path: ['angles'],
    message: 'names a cylinder twice'
  });
