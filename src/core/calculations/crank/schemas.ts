import { z } from 'zod';
import { cycle, finite, notNegative, turn, view, wholeFromOne } from '../building-blocks.ts';

export const crankPlanInput = z.strictObject({
  cycleDeg: cycle,
  currentDeg: finite,
  targetDeg: finite,
  strokeKnown: z.boolean(),
  approach: z.enum(['forward', 'backUp']),
  backlashDeg: notNegative
    .nullable()
    .describe('slack of the drive at the crank; null: not known, a rule of thumb takes its place'),
  mayReverse: z.boolean().optional().describe('false: never turn back; left out: allowed'),
  lastMove: z.enum(['forward', 'backward', 'unknown']),
  runningDirection: turn.describe('of the crank, seen from the front'),
  view,
  ringGearTeeth: wholeFromOne.optional(),
  turnsOn: wholeFromOne.optional().describe('whole turns forward on the way, at least'),
  backOnly: z
    .boolean()
    .optional()
    .describe('the way forward is blocked by a positive stop: back round to its other flank')
});
