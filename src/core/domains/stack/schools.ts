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
  }
} satisfies Record<string, SchoolWords>;
