import { z } from 'zod';
import { positive } from '../building-blocks.ts';
import { unitsOf, type Quantity, type Unit } from '../../units/units.ts';

const quantities = Object.keys(unitsOf) as [Quantity, ...Quantity[]];

const units = [...new Set(Object.values(unitsOf).flat())] as [Unit, ...Unit[]];

export const readingParseInput = z
  .strictObject({
    text: z.string().max(200),
    quantity: z.enum(quantities),
    defaultUnit: z.enum(units),
    perRevMm: positive.optional(),
    /** the unit that a dial's own divisions are in; without it that follows from its turn */
    dialUnit: z.enum(['mm', 'in']).optional()
  })
  .refine((r) => (unitsOf[r.quantity] as readonly Unit[]).includes(r.defaultUnit), {
    path: ['defaultUnit'],
    message: 'is not a unit of that quantity'
  });
