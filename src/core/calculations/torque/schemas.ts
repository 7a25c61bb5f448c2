import { z } from 'zod';
import { finite, notNegative, positive } from '../building-blocks.ts';

const torqueUnit = z.enum(['Nm', 'lbft', 'lbin']);

export const torqueConvertInput = z.strictObject({ value: finite, from: torqueUnit, to: torqueUnit });

export const torqueExtensionInput = z.strictObject({ torqueNm: finite, wrenchMm: positive, extensionMm: notNegative });
