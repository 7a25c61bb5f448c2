import { z } from 'zod';
import { finite, notNegative, positive, wholeFromOne } from '../building-blocks.ts';

export const chartKinds = ['lift-at-tdc', 'lift-to-closure'] as const;

export const pumpChartInput = z
  .strictObject({
    chart: z.strictObject({
      pumpCode: z.string().max(60),
      kind: z.enum(chartKinds).optional().describe('which lift the chart gives; it decides the procedure, not the sum'),
      points: z.array(z.strictObject({ btdc: finite, liftMm: finite })).max(2000)
    }),
    pumpCode: z.string().max(60).describe('code on the plate of the pump in hand'),
    btdc: finite.optional(),
    liftMm: finite.optional()
  })
  .refine((i) => (i.btdc === undefined) !== (i.liftMm === undefined), 'either a timing or a lift is asked for');

export const pumpClosureInput = z.strictObject({
  closureMm: positive.describe('the one lift at which the port closes'),
  lifts: z
    .array(z.strictObject({ liftMm: finite, btdc: finite.describe('where the crank was read there') }))
    .min(1)
    .max(500)
    .describe('lifts near the closure, in one setting of the gear'),
  slopeMmPerDeg: positive.optional().describe('lift for a degree of the crank, measured in another setting'),
  targetBtdc: finite.optional()
});

export const pumpZeroInput = z.strictObject({
  readingsMm: z.array(finite).max(5000).describe('the dial as the crank is backed, in order'),
  resolutionMm: notNegative,
  minRun: z.number().int().min(2).max(100).default(3).describe('how many readings make a run')
});

export const pumpDialInput = z.strictObject({
  perRevMm: positive,
  revs: z.number().int().min(0).max(1000).describe('whole turns of the pointer, counted'),
  pointerMm: finite
});

export const pumpCorrectInput = z.strictObject({
  measuredBtdc: finite,
  targetBtdc: finite,
  ratio: positive.describe('pump turns for one of the crank'),
  boltRadiusMm: positive.optional(),
  slotLeftDeg: z
    .strictObject({
      advance: notNegative.describe('earlier, degrees of the gear'),
      retard: notNegative.describe('later, degrees of the gear')
    })
    .optional()
    .describe('what is left of the slot each way, degrees of the gear')
});

export const pumpTotalInput = z.strictObject({
  pumpBtdc: finite.describe('where the pump is locked, crank degrees before TDC'),
  gearOffsetDeg: finite,
  targetBtdc: finite.optional()
});

export const pumpPhasingInput = z
  .strictObject({
    order: z.array(wholeFromOne.describe('an element, in the order in which they deliver')).min(2).max(24),
    angles: z.array(z.strictObject({ element: wholeFromOne.describe('its number'), pumpDeg: finite })).max(24),
    toleranceDeg: notNegative,
    camVelocityMmPerDeg: positive.describe('lift for a degree of the pump where the port closes'),
    shimStepMm: positive
  })
  .refine(
    ({ order, angles }) =>
      new Set(order).size === order.length &&
      angles.length === order.length &&
      new Set(angles.map((a) => a.element)).size === angles.length &&
      angles.every((a) => order.includes(a.element)),
    'every element of the order has one angle, and no other has'
  );
