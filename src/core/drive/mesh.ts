import type { z } from 'zod';
import { EPS, rad } from '../angles.ts';
import type { gearReindexInput, patternInput, wanderInput } from './schemas.ts';

export interface Pattern {
  centreFraction: number;
  lengthFraction: number;
  deeperMm: number;
  state: 'centred' | 'low' | 'high';
  edgeContact: boolean;
}

/**
 * Where the marking compound was wiped off a tooth, heights above its lower end. deeperMm is how much deeper the drive
 * must sit to bring the contact to the middle (negative: raise it). Edge contact within 5 % of either end.
 */
export function meshPattern(i: z.infer<typeof patternInput>): Pattern {
  const centreFraction = (i.contactLowMm + i.contactHighMm) / 2 / i.faceWidthMm;
  const off = 0.5 - centreFraction;
  return {
    centreFraction,
    lengthFraction: (i.contactHighMm - i.contactLowMm) / i.faceWidthMm,
    deeperMm: off * i.faceWidthMm,
    state: Math.abs(off) <= i.tolerance + EPS ? 'centred' : off > 0 ? 'low' : 'high',
    edgeContact: i.contactLowMm < 0.05 * i.faceWidthMm - EPS || i.contactHighMm > 0.95 * i.faceWidthMm + EPS
  };
}

/**
 * How far end float and backlash let the timing wander, in crank degrees: the reason to care about either.
 * Lead of the helix = πd/tan ψ (ψ from the gear's axis); float turns the shaft by 360·f/lead, backlash by 360·j/(πd).
 */
export function driveWander(i: z.infer<typeof wanderInput>) {
  const round = Math.PI * i.pitchDiameterMm;
  const leadMm = round / Math.tan(rad(i.helixAngleDeg));
  const fromFloatCrankDeg = (360 * i.endFloatMm) / leadMm / i.ratio;
  const fromBacklashCrankDeg = (360 * i.backlashMm) / round / i.ratio;
  return { leadMm, fromFloatCrankDeg, fromBacklashCrankDeg, totalCrankDeg: fromFloatCrankDeg + fromBacklashCrankDeg };
}

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
