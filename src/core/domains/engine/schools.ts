import type { SchoolWords } from '../../job/run-sheet.ts';

/** Where good technicians differ: the ways, with what speaks for and against each. */
export const schools = {
  turning: {
    title: 'How the crank is turned',
    options: [
      {
        id: 'socket',
        name: 'socket on the crank, or a bar at the flywheel',
        gives: 'Safe for every thread, and it turns both ways.',
        costs: 'The tool is needed.',
        preferWhen: 'Always.'
      },
      {
        id: 'nose',
        name: 'bar on the nose bolt',
        gives: 'Always at hand.',
        costs: 'The bolt may come loose or strip: forward only, plugs out.',
        preferWhen: 'Nothing else reaches, and the plugs are out.'
      }
    ]
  }
} satisfies Record<string, SchoolWords>;
