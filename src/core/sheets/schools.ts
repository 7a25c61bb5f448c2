import type { SchoolId } from './school-ways.ts';

/** One way of doing a step, with what speaks for and against it. */
export interface SchoolOption {
  id: string;
  name: string;
  gives: string;
  costs: string;
  preferWhen: string;
}

/** The words of a school; which ways there are and which is proposed stands in school-ways.ts, which is needed much sooner. */
export interface School {
  title: string;
  options: SchoolOption[];
}

export const schools: Record<SchoolId, School> = {
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
  },
  trigger: {
    title: 'How the firing point is seen',
    options: [
      {
        id: 'lamp',
        name: 'contacts just opening, by lamp or meter',
        gives: 'Sharp and cheap, hardly any power.',
        costs: 'Contacts clean and their gap set; slack must lie on the running side.',
        preferWhen: 'Contact sets.'
      },
      {
        id: 'edge',
        name: 'trigger tooth to its pole, by eye',
        gives: 'No power at all.',
        costs: 'Which edge fires depends on polarity: from the wiring data, never by likeness.',
        preferWhen: 'Induction pickups with a known edge.'
      },
      {
        id: 'spark',
        name: 'spark seen by the strobe, engine at rest',
        gives: 'The whole chain as it is.',
        costs: 'High voltage, and each flash may trigger injection; which side it is approached from matters.',
        preferWhen: 'A module whose edge is not known.'
      },
      {
        id: 'vane',
        name: 'sensor output, by meter',
        gives: 'Clean, repeats well.',
        costs: 'A supply and some skill with the meter; entering and leaving edge are easily confused.',
        preferWhen: 'Vane sensors.'
      },
      {
        id: 'tip',
        name: 'rotor tip to its terminal, by eye',
        gives: 'Quick.',
        costs: 'Several degrees of doubt: the tip does not say when the trigger fires.',
        preferWhen: 'A first setting, choosing the tooth.'
      }
    ]
  },
  'shaft-in-place': {
    title: 'What to do about the shaft',
    options: [
      {
        id: 'live',
        name: 'live with it: move the leads or turn the cap',
        gives: 'No risk at all.',
        costs: 'An odd layout, and a vacuum unit or leads that may not reach.',
        preferWhen: 'There is room both ways with another tower as number one.'
      },
      {
        id: 'split',
        name: 'open the case',
        gives: 'The shaft is set where it can be seen.',
        costs: 'A long job.',
        preferWhen: 'Any ring is uncertain, the flange is aged, or there are other reasons to open.'
      },
      {
        id: 'in-place',
        name: 'correct it with the case closed',
        gives: 'Saves a strip.',
        costs: 'A ring that jams ruins the crank gear and forces the split all the same.',
        preferWhen: 'Proved fault, rings known, the right puller, and patience.'
      }
    ]
  },
  bias: {
    title: 'A bias for the first start',
    options: [
      {
        id: 'none',
        name: 'the exact setting',
        gives: 'No hidden offset.',
        costs: 'The method\u2019s own error falls either way.',
        preferWhen: 'The method repeats well.'
      },
      {
        id: 'advance',
        name: 'a little early',
        gives: 'Less backfire after a method that reads late; helps a fresh camshaft start.',
        costs: 'It kicks if it is too much.',
        preferWhen: 'Run-in right after the start, the strobe soon.'
      },
      {
        id: 'retard',
        name: 'a little late',
        gives: 'Gentle on the starter or the hand.',
        costs: 'Heat, backfire, a glowing exhaust.',
        preferWhen: 'High compression, starting by hand.'
      }
    ]
  },
  curve: {
    title: 'What kind of curve',
    options: [
      {
        id: 'fast',
        name: 'fast, all in early',
        gives: 'Lively at low speed.',
        costs: 'Knock with load, weight or poor fuel; an unsteady idle if it begins too low.',
        preferWhen: 'Light load, low gearing, free exhaust.'
      },
      {
        id: 'mixed',
        name: 'one light spring, one strong',
        gives: 'It begins above idle, then quickens.',
        costs: 'It cannot be foretold without the springs\u2019 rates.',
        preferWhen: 'General use.'
      },
      {
        id: 'slow',
        name: 'slow, all in late',
        gives: 'Safe and smooth.',
        costs: 'Sluggish.',
        preferWhen: 'Heavy load, towing, high compression, poor fuel.'
      }
    ]
  },
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
  }
};

export const schoolOf = (id: SchoolId): School => schools[id];
