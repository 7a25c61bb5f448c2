import type { Rule } from '../../job/rule.ts';
import type { ToothVocabulary } from './vocabulary.ts';

export const rules: Rule<ToothVocabulary['flag']>[] = [
  {
    id: 'IL.01',
    on: ['distributor-out', 'witness-marks'],
    off: ['drive-shaft-out', 'shaft-rod-held'],
    bar: 'Distributor out: do not turn the crank',
    never: 'Turn the crank, bar it or let the machine move while the distributor is out.',
    because: 'The marks and the rotor\u2019s place refer to where the crank stands now.',
    first: 'distributor back in by its marks, or the reference given up on purpose',
    ifItHappened:
      'Stop. The reference is lost: the run sheet goes back to bringing the crank there and proving the stroke.',
    harm: 'result',
    forbids: ['turns-crank', 'turns-back', 'cranks-by-power'],
    loses: ['crank-at-reference', 'compression-confirmed', 'backlash-taken-up']
  },
  {
    id: 'IL.02',
    on: ['shaft-unsupported'],
    off: ['shaft-rod-held'],
    bar: 'Nothing holds the drive shaft down: do not turn the crank',
    never: 'Turn the crank at all while nothing holds the drive shaft down.',
    because: 'A shaft that nothing holds climbs its helix and spoils the crank gear.',
    first: 'a second person presses the shaft down with a rod, or distributor and spring hold it',
    ifItHappened: 'Stop, do not turn back, push the shaft down with a rod and look at the teeth.',
    harm: 'machine',
    forbids: ['turns-crank', 'turns-back', 'cranks-by-power', 'starts'],
    loses: ['crank-at-reference', 'rings-counted']
  },
  {
    id: 'IL.08',
    on: ['nothing-drops', 'gear-meshed'],
    off: [],
    bar: 'Whole range searched, no drop: stop turning',
    never: 'Keep turning the crank after the whole range was searched and nothing dropped.',
    because: 'Something else than alignment holds it up.',
    first: 'distributor lifted out; shank length, tang and debris looked at',
    ifItHappened: 'Lift it out, compare the shank\u2019s length, look at the tang and for debris.',
    harm: 'machine',
    forbids: ['turns-crank'],
    loses: []
  },
  {
    id: 'IL.77',
    on: [],
    off: ['shaft-fault-proved'],
    bar: 'Fault not proved: the shaft stays in',
    never: 'Pull a drive shaft on an assembled engine before the fault is proved to be the shaft.',
    because: 'It is a high risk without need.',
    ifItHappened: 'Stop as it lies, prove the fault, then decide.',
    harm: 'machine',
    forbids: ['pulls-shaft'],
    loses: []
  },
  {
    id: 'IL.78',
    on: ['shaft-jams'],
    off: [],
    bar: 'The shaft resists: no more force',
    never: 'Pull harder on a drive shaft that resists.',
    because: 'A thrust ring is jammed at the gear.',
    first: 'shaft lowered, tapped, turned, and free',
    ifItHappened: 'Lower it, tap, turn, try again; split the case if it stays.',
    harm: 'machine',
    forbids: ['pulls-shaft'],
    loses: []
  },
  {
    id: 'IL.79',
    on: ['drive-shaft-out'],
    off: ['shaft-held-down'],
    bar: 'Drive shaft not held down: do not lay the crank in',
    never: 'Lower the crank while nothing holds the drive shaft down.',
    because: 'The shaft floats up, out of mesh.',
    ifItHappened: 'Lift the crank, fit distributor and spring, lay it in again.',
    harm: 'machine',
    forbids: ['lays-crank-in'],
    loses: ['gear-meshed']
  },
  {
    id: 'IL.80',
    on: ['cam-timed'],
    off: ['compression-confirmed'],
    bar: 'Stroke not proved: do not close the case',
    never: 'Close the case before both lobes of number one were seen off their followers.',
    because: 'Half a cycle\u2019s error is sealed in.',
    ifItHappened: 'Open it, mesh the cam again one crank turn away.',
    harm: 'result',
    forbids: ['closes-case'],
    loses: []
  },
  {
    id: 'IL.83',
    on: ['flange-aged'],
    off: [],
    bar: 'Flange aged by heat: do not lever it',
    never: 'Lever or hammer out a flange that heat has aged.',
    because: 'Fragments fall inside.',
    first: 'flange drawn evenly, or eased out with the hole covered round it',
    ifItHappened: 'Stop turning, magnet, suction and lamp; a fragment that is missing means opening the case.',
    harm: 'machine',
    forbids: ['levers-flange'],
    loses: ['openings-covered']
  },
  {
    id: 'IL.84',
    on: [],
    off: ['puller-proved'],
    bar: 'Puller not tried: do not spread it in the shaft',
    never: 'Spread the puller in the shaft before its release was tried on the bench.',
    because: 'It cannot be taken off without drawing the shaft again.',
    ifItHappened: 'Relax it, tap it sideways, keep the shaft held down.',
    harm: 'machine',
    forbids: ['pulls-shaft'],
    loses: []
  }
];
