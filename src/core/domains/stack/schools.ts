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
  pattern: {
    title: 'How the contact is judged',
    options: [
      {
        id: 'compound',
        name: 'marking compound, turned under drag',
        gives: 'It shows how this pair meets in this engine.',
        costs: 'Messy, and all of it must come off again.',
        preferWhen: 'After any change of gear or seat, before the first run.'
      },
      {
        id: 'wear',
        name: 'by the wear that is there',
        gives: 'No work.',
        costs: 'It shows the old pair alone.',
        preferWhen: 'Whether a gear may be used again, beside the compound.'
      }
    ]
  },
  'gap-measure': {
    title: 'How the float is measured',
    options: [
      {
        id: 'washer',
        name: 'gauge washer and blades',
        gives: 'Simple, few tools.',
        costs: 'Two tools, stacked blades, burrs.',
        preferWhen: 'Pedestals whose data describe it.'
      },
      {
        id: 'dial',
        name: 'dial on the shaft',
        gives: 'Direct, one reading.',
        costs: 'The shaft\u2019s end must be reached.',
        preferWhen: 'The final proof.'
      },
      {
        id: 'depth',
        name: 'depth micrometer, face by face',
        gives: 'Precise, and it tells the packing beforehand.',
        costs: 'Skill.',
        preferWhen: 'A bare block.'
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
