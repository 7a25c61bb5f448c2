import { z } from 'zod';
import { finite, gauge, positive, slider } from '../building-blocks.ts';

export const tdcDwellInput = z.strictObject({
  ...slider,
  dial: gauge,
  wheel: gauge,
  targetUDeg: positive.default(0.15).describe('standard uncertainty aimed at, degrees')
});

export const tdcPairsInput = z
  .strictObject({
    pairs: z.array(z.strictObject({ beforeWheelDeg: finite, afterWheelDeg: finite, dropMm: finite.optional() })).min(1),
    strokeMm: positive.optional(),
    rodMm: positive.optional(),
    pinOffsetMm: finite.optional(),
    wheel: gauge,
    dial: gauge.optional()
  })
  .refine((i) => (i.strokeMm === undefined) === (i.rodMm === undefined), {
    path: ['rodMm'],
    message: 'stroke and rod come together or not at all'
  });

export const tdcFitInput = z.strictObject({
  readings: z.array(z.strictObject({ wheelDeg: finite, dialMm: finite })).max(5000),
  ...slider,
  dialSense: z
    .union([z.literal(1), z.literal(-1)])
    .default(1)
    .describe('1: the dial falls as the piston goes down'),
  wheel: gauge,
  dial: gauge
});
