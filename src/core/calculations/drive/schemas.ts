import { z } from 'zod';
import { cycle, finite, notNegative, positive, turn, wholeFromOne } from '../building-blocks.ts';

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

export const driveOrientInput = z.strictObject({
  rotorDirection: turn,
  ratio: positive,
  gearTeeth: wholeFromOne,
  observed: z.strictObject({ bearingDeg: finite, crankDeg: finite }),
  targetCrankDeg: finite,
  wantedBearingDeg: finite,
  symmetryDeg: z.number().gt(0).max(360),
  tieDeg: notNegative
    .default(0)
    .describe('differences up to this cannot be seen and count as equal, distributor degrees')
});

export const wanderInput = z.strictObject({
  helixAngleDeg: z.number().gt(0).lt(90),
  pitchDiameterMm: positive,
  endFloatMm: notNegative,
  backlashMm: notNegative,
  ratio: positive
});

export const gearReindexInput = z.strictObject({ teeth: wholeFromOne, rotateDeg: finite, ratio: positive });
