import type { SchoolWords } from '../../job/run-sheet.ts';

/** Where good technicians differ: the ways, with what speaks for and against each. */
export const schools = {
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
  },
  vacuum: {
    title: 'Whether vacuum advance is used, and from where',
    options: [
      {
        id: 'ported',
        name: 'used, from above the throttle',
        gives: 'No vacuum at idle, so the initial timing is read plainly.',
        costs: 'Some cooling at idle is lost.',
        preferWhen: 'The engine data name this source.'
      },
      {
        id: 'manifold',
        name: 'used, from the manifold',
        gives: 'A cooler idle, and more advance at light load.',
        costs: 'Idle must be set again; unsteady with a weak depression.',
        preferWhen: 'The depression at idle is steady.'
      }
    ]
  },
  'adv-free': {
    title: 'How the weights are freed',
    options: [
      {
        id: 'bench',
        name: 'apart on the bench, cleaned and oiled',
        gives: 'Certain, and wear is seen.',
        costs: 'The distributor must come out.',
        preferWhen: 'Stuck for long, or nobody knows its past.'
      },
      {
        id: 'in-place',
        name: 'in place, with cleaner and light oil',
        gives: 'Quick, and no timing is lost.',
        costs: 'Dirt stays and it may stick again; vapour.',
        preferWhen: 'Lightly gummed, proved by hand afterwards and again after some running.'
      }
    ]
  }
} satisfies Record<string, SchoolWords>;
