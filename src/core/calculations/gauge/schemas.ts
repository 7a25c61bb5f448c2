import { z } from 'zod';
import { finite, gauge } from '../building-blocks.ts';

export const gaugeCombineInput = z.strictObject({ readings: z.array(finite).min(1), gauge });
