import type { z } from 'zod';
import { EPS } from '../../numerics/angles.ts';
import type { gearReindexInput } from './schemas.ts';

/**
 * What turning the gear on its shaft (pin re-drilled, gear fitted half a turn round) does to rotor against teeth:
 * what is left after whole tooth pitches, in (-pitch/2, pitch/2], a tie going to plus half a pitch.
 */
export function driveGearReindex(i: z.infer<typeof gearReindexInput>) {
  const pitchDeg = 360 / i.teeth;
  let rotorShiftDeg = i.rotateDeg - pitchDeg * Math.round(i.rotateDeg / pitchDeg);
  if (Math.abs(Math.abs(rotorShiftDeg) - pitchDeg / 2) <= EPS) rotorShiftDeg = pitchDeg / 2;
  if (rotorShiftDeg === 0) rotorShiftDeg = 0;
  return { pitchDeg, rotorShiftDeg, crankDeg: rotorShiftDeg / i.ratio };
}
