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
  },
  'throttle-from': {
    title: 'From where the throttle is opened',
    options: [
      {
        id: 'lever',
        name: 'from the operator\u2019s lever',
        gives: 'The stretch of cable and rods is in it.',
        costs: 'A second person.',
        preferWhen: 'The final setting.'
      },
      {
        id: 'arm',
        name: 'at the engine\u2019s own arm',
        gives: 'Alone, and quick.',
        costs: 'The stretch is missing: in use it goes further.',
        preferWhen: 'On the bench only.'
      }
    ]
  }
} satisfies Record<string, SchoolWords>;
