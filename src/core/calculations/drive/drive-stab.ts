import type { z } from 'zod';
import { rad, wrap360 } from '../../numerics/angles.ts';
import type { driveStabInput } from './schemas.ts';

/**
 * Where to point the rotor before letting the drive down, so that it stands at the target once it is home. A right-hand
 * gear turns clockwise as it goes down, a left-hand one anticlockwise; the twist is what was seen on lifting out, or
 * follows from the helix, 360·travel·tan ψ/(πd).
 */
export function driveStab(i: z.infer<typeof driveStabInput>) {
  const h = i.helix;
  const twistDeg = h
    ? (360 * h.travelMm * Math.tan(rad(h.helixAngleDeg))) / (Math.PI * h.pitchDiameterMm)
    : i.twistDeg!;
  const dropTurns: 'cw' | 'ccw' = i.gearHand === 'right' ? 'cw' : 'ccw';
  return {
    twistDeg,
    startBearingDeg: wrap360(i.targetBearingDeg + (dropTurns === 'cw' ? -twistDeg : twistDeg)),
    dropTurns
  };
}
