import type { SchoolWords } from '../../job/run-sheet.ts';

/** Where good technicians differ: the ways, with what speaks for and against each. */
export const schools = {
  curve: {
    title: 'What kind of curve',
    options: [
      {
        id: 'fast',
        name: 'fast, all in early',
        gives: 'Lively at low speed.',
        costs: 'Knock with load, weight or poor fuel; an unsteady idle if it begins too low.',
        preferWhen: 'Light load, low gearing, free exhaust.'
      },
      {
        id: 'mixed',
        name: 'one light spring, one strong',
        gives: 'It begins above idle, then quickens.',
        costs: 'It cannot be foretold without the springs\u2019 rates.',
        preferWhen: 'General use.'
      },
      {
        id: 'slow',
        name: 'slow, all in late',
        gives: 'Safe and smooth.',
        costs: 'Sluggish.',
        preferWhen: 'Heavy load, towing, high compression, poor fuel.'
      }
    ]
  },
  'mark-scale': {
    title: 'How advance is read beyond the marks',
    options: [
      {
        id: 'tape',
        name: 'tape for exactly this rim',
        gives: 'Neat and readable.',
        costs: 'Wrong everywhere if the rim is another.',
        preferWhen: 'A known diameter.'
      },
      {
        id: 'dots',
        name: 'measured marks with dots of paint',
        gives: 'Nothing to buy.',
        costs: 'Layout error.',
        preferWhen: 'A large rim, checked with the wheel.'
      },
      {
        id: 'delay',
        name: 'strobe with a delay, at the zero mark',
        gives: 'Needs only the zero.',
        costs: 'The instrument\u2019s own error: cross-check once.',
        preferWhen: 'No room for a scale.'
      }
    ]
  }
} satisfies Record<string, SchoolWords>;
