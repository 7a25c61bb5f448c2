import type { SchoolWords } from '../../job/run-sheet.ts';

/** Where good technicians differ: the ways, with what speaks for and against each. */
export const schools = {
  'magneto-marks': {
    title: 'What the drive is set by',
    options: [
      {
        id: 'coupling',
        name: 'direction of the coupling at the reference',
        gives: 'It depends on no mark.',
        costs: 'It is read to half a tooth.',
        preferWhen: 'Marks that are missing or doubted.'
      },
      {
        id: 'marks',
        name: 'marks of the gears',
        gives: 'Fast.',
        costs: 'A mark without its partner proves nothing, and wrong ones exist.',
        preferWhen: 'Both partners are there and agree with the stroke.'
      }
    ]
  }
} satisfies Record<string, SchoolWords>;
