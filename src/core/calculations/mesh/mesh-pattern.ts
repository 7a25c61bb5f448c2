import type { z } from 'zod';
import { EPS } from '../../numerics/angles.ts';
import type { patternInput } from './schemas.ts';

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
