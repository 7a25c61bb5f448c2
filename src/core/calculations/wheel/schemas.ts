import { z } from 'zod';
import { finite, positive } from '../building-blocks.ts';

export const wheelTicksInput = z
  .strictObject({ diameterMm: positive, fromDeg: finite, toDeg: finite, stepDeg: positive })
  .refine((i) => i.toDeg >= i.fromDeg, { path: ['toDeg'], message: 'must not be below fromDeg' })
  .refine((i) => Math.floor((i.toDeg - i.fromDeg) / i.stepDeg + 1e-9) + 1 <= 5000, {
    path: ['stepDeg'],
    message: 'would make more than 5000 ticks'
  });

export const wheelMeasureInput = z
  .strictObject({ diameterMm: positive, arcMm: finite.optional(), chordMm: finite.optional() })
  .refine((i) => (i.arcMm === undefined) !== (i.chordMm === undefined), {
    path: ['arcMm'],
    message: 'give the arc or the chord, one of the two'
  })
  .refine((i) => i.chordMm === undefined || Math.abs(i.chordMm) <= i.diameterMm + 1e-9, {
    path: ['chordMm'],
    message: 'a chord cannot be longer than the diameter'
  });
