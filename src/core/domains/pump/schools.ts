import type { SchoolWords } from '../../job/run-sheet.ts';

/** Where good technicians differ: the ways, with what speaks for and against each. */
export const schools = {
  'pump-method': {
    title: 'How number one\u2019s closure is found',
    options: [
      {
        id: 'lift',
        name: 'the plan\u2019s lift, by dial',
        gives: 'No open fuel, and quick.',
        costs: 'It rests on the plan\u2019s lift: a worn plunger closes elsewhere.',
        preferWhen: 'The plan gives a lift, and the element is new.'
      },
      {
        id: 'spill',
        name: 'spill or drip until the port closes',
        gives: 'The event itself is seen.',
        costs: 'Open fuel, and slow.',
        preferWhen: 'On the bench with feed and drip tube.'
      }
    ]
  },
  'offset-home': {
    title: 'Where the angle is put',
    options: [
      {
        id: 'pump',
        name: 'all of it in the pump',
        gives: 'One term, a plain ledger.',
        costs: 'The slot may not reach.',
        preferWhen: 'The slot reaches.'
      },
      {
        id: 'shared',
        name: 'shared between pump and gear',
        gives: 'It reaches further.',
        costs: 'Two terms to keep, and the gear\u2019s marks tell nothing any more.',
        preferWhen: 'The slot stands at its end; with a ledger and a tag.'
      }
    ]
  },
  'pump-cover': {
    title: 'How the gear is reached',
    options: [
      {
        id: 'access',
        name: 'through the access opening',
        gives: 'Little to strip.',
        costs: 'A poor view, and parts can fall in.',
        preferWhen: 'The engine is in its place and the gear can be turned from there.'
      },
      {
        id: 'cover',
        name: 'with the whole front cover off',
        gives: 'All marks and the flanks in view.',
        costs: 'A long strip and a new seal.',
        preferWhen: 'The engine is on a stand, or the cover is off already.'
      }
    ]
  }
} satisfies Record<string, SchoolWords>;
