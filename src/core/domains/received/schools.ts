import type { SchoolWords } from '../../job/run-sheet.ts';

/** Where good technicians differ: the ways, with what speaks for and against each. */
export const schools = {
  rebuild: {
    title: 'Who rebuilds it',
    options: [
      {
        id: 'specialist',
        name: 'a specialist, on a test bench with this engine\u2019s data',
        gives: 'A measured curve and new bushes.',
        costs: 'Cost and waiting.',
        preferWhen: 'Bush or curve out of limits, or parts that are rare.'
      },
      {
        id: 'own',
        name: 'ourselves, proved by strobe on the engine',
        gives: 'Cheap, and the distributor becomes known.',
        costs: 'Only what the engine can show is proved.',
        preferWhen: 'A sound shaft and bush that need gear, springs or a seal.'
      }
    ]
  }
} as const satisfies Record<string, SchoolWords>;
