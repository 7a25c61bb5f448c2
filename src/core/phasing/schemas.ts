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

export const capMapInput = z
  .strictObject({
    firingOrder: z.array(wholeFromOne).min(2).max(12),
    rotorDirection: turn,
    wires: z
      .array(wholeFromOne)
      .describe('cylinder of each lead, clockwise from the tower the rotor faces as number one fires')
  })
  .refine((i) => i.wires.length === i.firingOrder.length, { path: ['wires'], message: 'name one lead for each tower' })
  .refine((i) => [...i.firingOrder].sort().join() === [...i.wires].sort().join(), {
    path: ['wires'],
    message: 'each cylinder of the firing order must stand once'
  });
