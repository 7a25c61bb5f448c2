import { z } from 'zod';
import { finite, positive, wholeFromOne } from '../building-blocks.ts';

export const rotorPhasingInput = z.strictObject({
  tipRadiusMm: positive,
  tipWidthMm: positive,
  terminalWidthMm: positive,
  radialGapMm: positive,
  terminals: wholeFromOne,
  baseOffsetDeg: finite,
  shiftRangeDeg: z.tuple([finite, finite]).refine(([a, b]) => a <= b, 'the least must not be above the most')
});
