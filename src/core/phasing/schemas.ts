import { z } from 'zod';
import { cycle, finite, notNegative, positive, turn, wholeFromOne } from '../schemas.ts';

export const driveIndexInput = z.strictObject({
  rotorDirection: turn,
  ratio: positive,
  gearTeeth: wholeFromOne,
  observed: z.strictObject({ rotorBearingDeg: finite, crankDeg: finite }),
  targetCrankDeg: finite,
  terminals: z.strictObject({ count: wholeFromOne, firstOffsetDeg: finite, anyAsNumberOne: z.boolean() }),
  housing: z.strictObject({ minBearingDeg: finite, maxBearingDeg: finite, preferredBearingDeg: finite.optional() })
});

export const driveStabInput = z
  .strictObject({
    gearHand: z.enum(['right', 'left']),
    targetBearingDeg: finite,
    twistDeg: notNegative.optional(),
    helix: z
      .strictObject({ helixAngleDeg: z.number().gt(0).lt(90), pitchDiameterMm: positive, travelMm: notNegative })
      .optional()
  })
  .refine((i) => (i.twistDeg === undefined) !== (i.helix === undefined), {
    path: ['twistDeg'],
    message: 'give the twist that was seen or the helix, one of the two'
  });

export const driveEngageInput = z.strictObject({
  rotorDirection: turn,
  ratio: positive,
  cycleDeg: cycle,
  currentCrankDeg: finite,
  targetCrankDeg: finite,
  tangBearingDeg: finite,
  slotBearingDeg: finite,
  symmetryDeg: z.number().gt(0).max(360)
});

export const rotorPhasingInput = z.strictObject({
  tipRadiusMm: positive,
  tipWidthMm: positive,
  terminalWidthMm: positive,
  radialGapMm: positive,
  terminals: wholeFromOne,
  baseOffsetDeg: finite,
  shiftRangeDeg: z.tuple([finite, finite]).refine(([a, b]) => a <= b, 'the least must not be above the most')
});
