import { z } from 'zod';
import { notNegative, positive } from '../building-blocks.ts';

export const patternInput = z
  .strictObject({
    contactLowMm: notNegative,
    contactHighMm: notNegative,
    faceWidthMm: positive,
    tolerance: notNegative.default(0.1)
  })
  .refine((i) => i.contactLowMm <= i.contactHighMm && i.contactHighMm <= i.faceWidthMm + 1e-9, {
    path: ['contactHighMm'],
    message: 'the contact must lie on the tooth, its upper end above its lower'
  });
