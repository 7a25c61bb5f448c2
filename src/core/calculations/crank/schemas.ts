import { z } from 'zod';
import { cycle, finite, notNegative, turn, view, wholeFromOne } from '../building-blocks.ts';

export const crankPlanInput = z.strictObject({
  cycleDeg: cycle,
  currentDeg: finite,
  targetDeg: finite,
  strokeKnown: z.boolean(),
  approach: z.enum(['forward', 'backUp']),
  backlashDeg: notNegative,
  lastMove: z.enum(['forward', 'backward', 'unknown']),
  runningDirection: turn.describe('of the crank, seen from the front'),
  view,
  ringGearTeeth: wholeFromOne.optional()
});
