import { z } from 'zod';
import { turn, wholeFromOne } from '../building-blocks.ts';

export const capMapInput = z
  .strictObject({
    firingOrder: z.array(wholeFromOne).min(2).max(12),
    rotorDirection: turn,
    wires: z
      .array(wholeFromOne)
      .describe('cylinder of each lead, clockwise from the tower the rotor faces as number one fires')
  })
  .refine((i) => i.wires.length === i.firingOrder.length, { path: ['wires'], message: 'name one lead for each tower' })
  .refine((i) => [...i.firingOrder].sort().join() === [...i.wires].sort().join(), {
    path: ['wires'],
    message: 'each cylinder of the firing order must stand once'
  });
