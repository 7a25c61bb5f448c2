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
  lockout: {
    title: 'Whether the advance is locked',
    options: [
      {
        id: 'curve',
        name: 'keep a curve',
        gives: 'Starts easily and burns well.',
        costs: 'Weights, springs and bushes to look after.',
        preferWhen: 'Anything that is started cold and used at changing speeds.'
      },
      {
        id: 'locked',
        name: 'lock it',
        gives: 'One timing at every speed, quickly set.',
        costs: 'It kicks at starting and pulls badly at low load.',
        preferWhen: 'A control unit moves the spark, or a device retards it for starting.'
      }
    ]
  }
} satisfies Record<string, SchoolWords>;
