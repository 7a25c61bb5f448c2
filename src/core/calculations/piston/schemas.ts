import { z } from 'zod';
import { finite, slider } from '../building-blocks.ts';

export const pistonAtInput = z.strictObject({ ...slider, crankDeg: finite });

export const pistonAngleInput = z.strictObject({ ...slider, dropMm: finite });
