import { z } from 'zod';
import { define } from '../define.ts';
import { finite as n } from '../building-blocks.ts';
import { capMap } from './cap-map.ts';
import * as s from './schemas.ts';

export const capCalcs = [
  define({
    name: 'cap.map',
    title: 'What is wrong with the leads of a cap',
    formula:
      'the first of these that explains every tower: right, places round, against the rotor, two exchanged, against and round, mixed',
    source: 'Combinatorial: the definition of a firing order; nothing is estimated',
    errors: [],
    input: s.capMapInput,
    output: z.strictObject({
      cause: z.enum([
        'right',
        'two-swapped',
        'wrong-direction',
        'half-cycle-out',
        'one-place-round',
        'shifted',
        'mixed'
      ]),
      expected: z.array(n),
      wrong: z.array(n),
      places: n,
      swapped: z.tuple([n, n]).nullable()
    }),
    example: {
      in: { firingOrder: [1, 5, 3, 6, 2, 4], rotorDirection: 'cw', wires: [2, 4, 1, 5, 3, 6] },
      out: { cause: 'shifted', places: 2 }
    },
    calculate: capMap
  })
];
