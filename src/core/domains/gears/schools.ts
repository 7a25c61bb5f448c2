import type { SchoolWords } from '../../job/run-sheet.ts';

/** Where good technicians differ: the ways, with what speaks for and against each. */
export const schools = {
  'gear-fix': {
    title: 'How depth and float are corrected',
    options: [
      {
        id: 'shims',
        name: 'shims and collars',
        gives: 'It can be undone.',
        costs: 'It may not reach every dimension.',
        preferWhen: 'Shim room, or a collar that moves.'
      },
      {
        id: 'collar',
        name: 'turn the mounting collar down',
        gives: 'A plain gain in depth.',
        costs: 'No way back, and it needs a lathe.',
        preferWhen: 'A fixed collar and a contact that is too low.'
      },
      {
        id: 'hole',
        name: 'move the gear and drill a new hole',
        gives: 'The whole correction.',
        costs: 'A weaker shaft, and rotor against teeth shifts unless it is turned by whole teeth.',
        preferWhen: 'Shims do not reach, and the shift was worked out.'
      }
    ]
  }
} satisfies Record<string, SchoolWords>;
