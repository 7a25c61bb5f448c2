import type { SchoolWords } from '../../job/run-sheet.ts';

/** Where good technicians differ: the ways, with what speaks for and against each. */
export const schools = {
  tdc: {
    title: 'How true TDC is found',
    options: [
      {
        id: 'mark',
        name: 'trust the mark',
        gives: 'Immediate.',
        costs: 'A slipped ring, a foreign pulley or a bent pointer goes unseen.',
        preferWhen: 'An earlier job proved it and nothing was changed since.'
      },
      {
        id: 'highest',
        name: 'highest point by dial',
        gives: 'Simple, one reading.',
        costs: 'The flat top hides the crank: not for fine values.',
        preferWhen: 'Choosing a tooth, telling the strokes.'
      },
      {
        id: 'rod',
        name: 'rod through the plug hole, rough guide',
        gives: 'No instrument at all.',
        costs: 'Many degrees of doubt, and a rod that jams breaks piston or thread: hand turning only, never forced.',
        preferWhen: 'Only to see which way the top lies.'
      },
      {
        id: 'stop',
        name: 'two-sided by positive stop',
        gives: 'Repeatable in angled plug holes, needs no dial.',
        costs: 'The stop harms the piston if it is forced, and must come out before any power.',
        preferWhen: 'Head on, angled holes.'
      },
      {
        id: 'pairs',
        name: 'two-sided by dial',
        gives: 'The flat top drops out; no stop to run into.',
        costs: 'A rigid stand, a wheel, slack kept on one side.',
        preferWhen: 'Fine work with a straight hole.'
      },
      {
        id: 'fit',
        name: 'many readings, least squares',
        gives: 'Uses every reading, shows and throws out the wrong one.',
        costs: 'Eight readings or so, and a dial with travel for all of them.',
        preferWhen: 'The pairs do not agree, or the limit is tight.'
      }
    ]
  },
  overshoot: {
    title: 'If the mark is passed',
    options: [
      {
        id: 'backUp',
        name: 'back well past it, then forward',
        gives: 'Quick, and the slack ends on the running side.',
        costs: 'Wrong if the reversal is small; not where the maker forbids turning back.',
        preferWhen: 'Gear drives, flywheel barring, plugs out.'
      },
      {
        id: 'forward',
        name: 'on and round again, forward only',
        gives: 'No reverse movement at all; kind to nose bolts, belts and chains.',
        costs: 'Up to two turns of the crank.',
        preferWhen: 'Turning by the nose bolt, belt or chain drives that must not run back.'
      }
    ]
  },
  slack: {
    title: 'What is known of the drive\u2019s slack',
    options: [
      {
        id: 'measured',
        name: 'measured on this engine',
        gives: 'A turn back that is just long enough, and a worn chain is seen.',
        costs: 'A few minutes, and turning back must be allowed.',
        preferWhen: 'The figure is missing, or the drive may be worn.'
      },
      {
        id: 'data',
        name: 'from the data sheet',
        gives: 'No extra work.',
        costs: 'Wear is not in it.',
        preferWhen: 'A drive in good order whose figure has a source.'
      },
      {
        id: 'unknown',
        name: 'not known: back an eighth of a turn',
        gives: 'Enough for nearly every drive: a rule of thumb.',
        costs: 'Longer turns of the crank.',
        preferWhen: 'Nothing better is at hand.'
      }
    ]
  },
  compression: {
    title: 'How to tell compression from exhaust',
    options: [
      {
        id: 'valves',
        name: 'watch the inlet close, feel both rockers slack',
        gives: 'Certain, and shows valve faults too.',
        costs: 'The cover must come off.',
        preferWhen: 'Covers off, fresh build.'
      },
      {
        id: 'gauge',
        name: 'gauge, whistle or balloon at the opening',
        gives: 'Hands stay away; a clear sign.',
        costs: 'A small tool.',
        preferWhen: 'Covers on, one person.'
      },
      {
        id: 'fingertip',
        name: 'fingertip just over the outside of the opening',
        gives: 'No tools, quick.',
        costs: 'Weak on slow turning or leaky rings; never a finger inside.',
        preferWhen: 'Hand turning, plugs out.'
      },
      {
        id: 'companion',
        name: 'companion cylinder on overlap',
        gives: 'Easy where the rockers can be seen.',
        costs: 'The pairing must be known.',
        preferWhen: 'A good second sign on even-firing engines.'
      },
      {
        id: 'camMarks',
        name: 'cam gear or lobe marks',
        gives: 'Certain on an open engine.',
        costs: 'Front or case open.',
        preferWhen: 'During the build.'
      }
    ]
  }
} satisfies Record<string, SchoolWords>;
