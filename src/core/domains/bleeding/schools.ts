import type { SchoolWords } from '../../job/run-sheet.ts';

/** Where good technicians differ: the ways, with what speaks for and against each. */
export const schools = {
  'idle-by': {
    title: 'How the idle is set',
    options: [
      {
        id: 'meter',
        name: 'by a meter',
        gives: 'A figure that can be logged.',
        costs: 'It needs a signal, or a mark for an optical one.',
        preferWhen: 'Always possible with an optical meter.'
      },
      {
        id: 'sound',
        name: 'by its sound',
        gives: 'No tools.',
        costs: 'Everybody hears another one.',
        preferWhen: 'A last touch, after the meter.'
      }
    ]
  }
} satisfies Record<string, SchoolWords>;
