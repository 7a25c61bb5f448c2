import type { SchoolWords } from '../../job/run-sheet.ts';

/** Where good technicians differ: the ways, with what speaks for and against each. */
export const schools = {
  'float-target': {
    title: 'Where in the limits the float is aimed',
    options: [
      {
        id: 'centre',
        name: 'the middle',
        gives: 'Room for error and for heat both ways.',
        costs: 'None.',
        preferWhen: 'Normal.'
      },
      {
        id: 'loose',
        name: 'the loose end',
        gives: 'Survives heat and thick oil.',
        costs: 'The timing wanders more, and the gear chatters.',
        preferWhen: 'A light-alloy housing, a hot engine, if its data allow it.'
      },
      {
        id: 'tight',
        name: 'the tight end',
        gives: 'The steadiest timing.',
        costs: 'It binds when warm.',
        preferWhen: 'Only after the sum for the hot engine.'
      }
    ]
  },
  sealant: {
    title: 'What seals under the flange',
    options: [
      {
        id: 'dry',
        name: 'packing alone, dry',
        gives: 'The float is what the sum says.',
        costs: 'It may weep.',
        preferWhen: 'Seats on which the float depends.'
      },
      {
        id: 'film',
        name: 'a thin film that stays soft',
        gives: 'It seals.',
        costs: 'A thickness that nobody measured, and that squeezes out.',
        preferWhen: 'Oil-side seats, with the film allowed for in the sum.'
      }
    ]
  }
} satisfies Record<string, SchoolWords>;
