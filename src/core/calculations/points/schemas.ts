import { z } from 'zod';
import { positive, wholeFromOne } from '../building-blocks.ts';

export const pointsDwellInput = z
  .strictObject({ cylinders: wholeFromOne, dwellDeg: positive, newDwellDeg: positive, ratio: positive })
  .refine((i) => Math.max(i.dwellDeg, i.newDwellDeg) <= 360 / i.cylinders + 1e-9, {
    path: ['dwellDeg'],
    message: 'dwell cannot exceed what one cylinder has of a turn'
  });
