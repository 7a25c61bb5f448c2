import type { z } from 'zod';
import type { moveInput } from './schemas.ts';

/** What setting the drive deeper does to everything that hangs on its depth. The twist has the sign of the move. */
export function stackMove(i: z.infer<typeof moveInput>) {
  return {
    engagementMm: i.engagementMm + i.deeperMm,
    clearanceMm: i.clearanceMm - i.deeperMm,
    contactFraction: i.contactFraction + i.deeperMm / i.faceWidthMm,
    rotorTwistDeg: i.leadMm === undefined ? null : (360 * i.deeperMm) / i.leadMm
  };
}
