import type { HazardWords } from '../../job/run-sheet.ts';

/** What hurts when a diesel is started for the first time. */
export const hazards = {
  runaway: {
    title: 'It can run away, and then it does not stop when it is told.',
    text: 'Plate for the intake in hand, a second person at the stop, stand aside of what turns.',
    defer: 'the maker\u2019s way of stopping it'
  },
  'machine-drive': {
    title: 'What it drives starts with it.',
    text: 'Controls in neutral, pumps unloaded, guards and interlocks working.',
    defer: 'the machine\u2019s manual'
  }
} as const satisfies Record<string, HazardWords>;
