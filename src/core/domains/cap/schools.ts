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
  },
  'rotor-sense': {
    title: 'How the rotor\u2019s direction is known',
    options: [
      {
        id: 'leads',
        name: 'the leads round the cap against the firing order',
        gives: 'Nothing is taken apart.',
        costs: 'Only on an engine that ran with these leads.',
        preferWhen: 'A running engine.'
      },
      {
        id: 'turn',
        name: 'crank turned forward, rotor watched',
        gives: 'Certain.',
        costs: 'The cap is off.',
        preferWhen: 'Whenever the drive is in mesh.'
      },
      {
        id: 'capsule',
        name: 'from the capsule: its rod pulls against the rotor',
        gives: 'Nothing is turned.',
        costs: 'A capsule is needed, and its rod may be hidden.',
        preferWhen: 'A second sign, on the bench.'
      }
    ]
  }
} satisfies Record<string, SchoolWords>;
