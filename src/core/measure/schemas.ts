import { z } from 'zod';
import { finite, gauge, notNegative, positive } from '../schemas.ts';
import { unitsOf, type Quantity, type Unit } from '../units/units.ts';

export const gaugeCombineInput = z.strictObject({ readings: z.array(finite).min(1), gauge });

const quantities = Object.keys(unitsOf) as [Quantity, ...Quantity[]];
const units = [...new Set(Object.values(unitsOf).flat())] as [Unit, ...Unit[]];

export const readingParseInput = z
  .strictObject({
    text: z.string().max(200),
    quantity: z.enum(quantities),
    defaultUnit: z.enum(units),
    perRevMm: positive.optional()
  })
  .refine((r) => (unitsOf[r.quantity] as readonly Unit[]).includes(r.defaultUnit), {
    path: ['defaultUnit'],
    message: 'is not a unit of that quantity'
  });

const torqueUnit = z.enum(['Nm', 'lbft', 'lbin']);
export const torqueConvertInput = z.strictObject({ value: finite, from: torqueUnit, to: torqueUnit });
export const torqueExtensionInput = z.strictObject({ torqueNm: finite, wrenchMm: positive, extensionMm: notNegative });
