import type { SchoolWords } from '../../job/run-sheet.ts';

/** Where good technicians differ: the ways, with what speaks for and against each. */
export const schools = {
  'lead-transfer': {
    title: 'How the leads move over',
    options: [
      {
        id: 'one-by-one',
        name: 'one at a time from the old cap',
        gives: 'Nothing to think about.',
        costs: 'The lead ends must suit.',
        preferWhen: 'A cap with the same layout.'
      },
      {
        id: 'rebuild',
        name: 'anew, from firing order and rotation',
        gives: 'Always possible.',
        costs: 'The sense of rotation must be right.',
        preferWhen: 'Loose or new leads.'
      }
    ]
  }
} satisfies Record<string, SchoolWords>;
