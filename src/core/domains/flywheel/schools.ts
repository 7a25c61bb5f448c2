import type { SchoolWords } from '../../job/run-sheet.ts';

/** Where good technicians differ: the ways, with what speaks for and against each. */
export const schools = {
  'twostroke-check': {
    title: 'Which cylinders are marked',
    options: [
      {
        id: 'all',
        name: 'every cylinder, each by itself',
        gives: 'Swapped leads and uneven spacing are found.',
        costs: 'Time.',
        preferWhen: 'After a rebuild, or any work on the ignition.'
      },
      {
        id: 'one',
        name: 'number one alone',
        gives: 'Quick.',
        costs: 'The rest is assumed.',
        preferWhen: 'A routine check with nothing moved; never to set a stop by.'
      }
    ]
  }
} satisfies Record<string, SchoolWords>;
