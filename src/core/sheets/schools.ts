import type { Engine } from './engine.ts';
import { choiceOf } from './engine.ts';

/** One way of doing a step, with what speaks for and against it. */
export interface SchoolOption {
  id: string;
  name: string;
  gives: string;
  costs: string;
  preferWhen: string;
}

export interface School {
  title: string;
  options: SchoolOption[];
  /** the way proposed for this engine and why */
  proposes: (engine: Engine) => { option: string; because: string };
}

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
    ],
    proposes: () => ({ option: 'pairs', because: 'it cancels the flat top and forces nothing' })
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
    ],
    proposes: (engine) =>
      choiceOf(engine, 'reversal') === 'forbidden'
        ? { option: 'forward', because: 'the data sheet forbids turning back' }
        : { option: 'backUp', because: 'turning back is not forbidden on the data sheet, and both ways end forward' }
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
    ],
    proposes: () => ({
      option: 'valves',
      because: 'on a fresh build the covers are off, and the valves beat any pressure sign'
    })
  },
  'index-order': {
    title: 'What is set first',
    options: [
      {
        id: 'engine-first',
        name: 'the engine to the reference, then the drive on its tooth',
        gives: 'Rotor and housing finish in the place that was planned.',
        costs: 'Lifting again when the oil-pump drive does not line up.',
        preferWhen: 'Vacuum unit, harness or short leads demand a place.'
      },
      {
        id: 'seat-first',
        name: 'seat it anywhere, then bring the crank and turn the housing',
        gives: 'No fight with the oil-pump drive.',
        costs: 'Where the housing ends is luck; it may meet an obstacle.',
        preferWhen: 'Free harness, no vacuum unit, room all round.'
      },
      {
        id: 'marks',
        name: 'match the witness marks',
        gives: 'Fastest.',
        costs: 'No proof, and worth nothing once the crank was moved.',
        preferWhen: 'The same distributor goes back.'
      }
    ],
    proposes: () => ({ option: 'engine-first', because: 'rotor and housing then end where there is room' })
  },
  'oil-drive': {
    title: 'When the oil-pump drive does not line up',
    options: [
      {
        id: 'tool',
        name: 'turn the pump with the priming tool',
        gives: 'The tool has the tang\u2019s shape, primes the oil as well, and the crank stays where it is.',
        costs: 'The tool must be at hand.',
        preferWhen: 'Blade and hexagon drives.'
      },
      {
        id: 'blade',
        name: 'turn the pump with a long blade',
        gives: 'Cheap; the crank stays where it is.',
        costs: 'Trial and error; the blade may slip or chip.',
        preferWhen: 'A straight slot in plain sight.'
      },
      {
        id: 'crank',
        name: 'press lightly and turn the crank until it drops',
        gives: 'Certain, nothing to see down the bore.',
        costs: 'The reference is lost and must be found again.',
        preferWhen: 'Turning the pump has failed twice.'
      }
    ],
    proposes: () => ({ option: 'tool', because: 'it keeps the crank at the reference' })
  },
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
    ],
    proposes: () => ({ option: 'centre', because: 'it leaves room both ways' })
  },
  'gear-fix': {
    title: 'How depth and float are corrected',
    options: [
      {
        id: 'shims',
        name: 'shims and collars',
        gives: 'It can be undone.',
        costs: 'It may not reach every dimension.',
        preferWhen: 'Shim room, or a collar that moves.'
      },
      {
        id: 'collar',
        name: 'turn the mounting collar down',
        gives: 'A plain gain in depth.',
        costs: 'No way back, and it needs a lathe.',
        preferWhen: 'A fixed collar and a contact that is too low.'
      },
      {
        id: 'hole',
        name: 'move the gear and drill a new hole',
        gives: 'The whole correction.',
        costs: 'A weaker shaft, and rotor against teeth shifts unless it is turned by whole teeth.',
        preferWhen: 'Shims do not reach, and the shift was worked out.'
      }
    ],
    proposes: () => ({ option: 'shims', because: 'what is shimmed can be undone' })
  },
  'lead-transfer': {
    title: 'How the leads move over',
    options: [
      {
        id: 'one-by-one',
        name: 'one at a time from the old cap',
        gives: 'Nothing to think about.',
        costs: 'The lead ends must suit.',
        preferWhen: 'A cap with the same layout.'
      },
      {
        id: 'rebuild',
        name: 'anew, from firing order and rotation',
        gives: 'Always possible.',
        costs: 'The sense of rotation must be right.',
        preferWhen: 'Loose or new leads.'
      }
    ],
    proposes: () => ({ option: 'one-by-one', because: 'no order can be lost' })
  }
} satisfies Record<string, School>;

export type SchoolId = keyof typeof schools;
export const isSchool = (s: string): s is SchoolId => Object.hasOwn(schools, s);
export const schoolOf = (id: SchoolId): School => schools[id];
