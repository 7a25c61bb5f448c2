import { z } from 'zod';

/** Building blocks of the calculations' input schemas. All objects are strict: an extra key is a mistake. */
export const finite = z.number();
export const positive = z.number().positive();
export const notNegative = z.number().nonnegative();
/** Teeth, cylinders, towers: counted one by one, so a count that no machine has must not be worked through. */
export const wholeFromOne = z.number().int().min(1).max(400);
export const view = z.enum(['front', 'rear']);
export const turn = z.enum(['cw', 'ccw']);
export const cycle = z.union([z.literal(720), z.literal(360)]);

export const gauge = z.strictObject({
  resolution: notNegative.describe('smallest step shown, in the base unit of the quantity'),
  accuracy: notNegative.describe('± half-width stated by the maker or the calibration, same unit'),
  scatter: notNegative
    .optional()
    .describe('standard deviation of one reading by this hand with this gauge, same unit; absent: not known'),
  scatterDof: positive.optional().describe('degrees of freedom behind that scatter; 20 when it is not said')
});

/** True when nothing tells how much the hand scatters: what is stated then is the gauge's alone, and no figure is in limits by it. */
export const scatterUnknown = z.literal(true).optional();

/** Limits of which either may be null; min ≤ max. */
export const limits = z
  .strictObject({ minMm: finite.nullable(), maxMm: finite.nullable() })
  .refine((s) => s.minMm === null || s.maxMm === null || s.minMm <= s.maxMm, 'min must not be above max');

export const slider = {
  strokeMm: positive.describe('stroke, mm'),
  rodMm: positive.describe('connecting rod between centres, mm'),
  pinOffsetMm: finite
    .optional()
    .describe('pin offset, mm, positive towards the side the crankpin moves to just after TDC')
};

/** What a judged figure answers; null where there are no limits to judge it by. */
export const verdictOut = z.strictObject({ state: z.enum(['in', 'out', 'unsure']), pInSpec: finite });
