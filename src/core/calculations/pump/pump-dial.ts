import type { z } from 'zod';
import type { pumpDialInput } from './schemas.ts';

/** A lift by whole turns of the dial counted and where its pointer stands, mm. */
export const pumpDial = ({ perRevMm, revs, pointerMm }: z.infer<typeof pumpDialInput>): { liftMm: number } => ({
  liftMm: revs * perRevMm + pointerMm
});
