import type { Rule } from '../../job/rule.ts';
import type { DistributorVocabulary } from './vocabulary.ts';

export const rules: Rule<DistributorVocabulary['flag']>[] = [
  {
    id: 'IL.93',
    on: ['distributor-seated'],
    off: [],
    where: [{ chosen: 'prime', not: 'starter' }],
    bar: 'Unit in its bore: no priming tool',
    never: 'Prime with a tool through the bore while the unit is in it.',
    because: 'The tool cannot reach the pump; the unit would be turned against the camshaft gear.',
    first: 'unit lifted out; prime, then set the slot and fit it anew',
    ifItHappened: 'Stop, lift the unit, look at its gear and tang, prime, set the slot, fit it anew.',
    harm: 'machine',
    forbids: ['primes-by-bore'],
    loses: ['distributor-seated']
  },
  {
    id: 'IL.01s',
    on: ['distributor-out'],
    off: [],
    bar: 'Distributor out: no starter',
    never: 'Crank with the starter while the distributor is out.',
    because: 'The oil pump is not driven, and every reference goes with the first turn.',
    first: 'distributor in and seated',
    ifItHappened: 'Look for the oil-pump shaft, then find the crank again.',
    harm: 'machine',
    forbids: ['cranks-by-power', 'starts'],
    loses: ['crank-at-reference', 'compression-confirmed', 'backlash-taken-up', 'pump-shaft-present']
  },
  {
    id: 'IL.04',
    on: ['distributor-out'],
    off: ['openings-covered'],
    bar: 'Bore open: nothing loose above it',
    never: 'Work with loose screws, rings or springs above an open bore.',
    because: 'They fall into the case.',
    ifItHappened: 'Stop turning; magnet and lamp before anything else.',
    harm: 'machine',
    forbids: ['works-over-bore'],
    loses: []
  },
  {
    id: 'IL.07',
    on: ['gear-meshed'],
    off: ['distributor-seated'],
    bar: 'Not seated: do not pull it down with the clamp',
    never: 'Pull the flange down with the clamp.',
    because: 'The drive may be standing on the pump shaft; housing or pump breaks.',
    ifItHappened: 'Slacken, inspect flange and shaft end, then turn the crank until the drive falls in.',
    harm: 'machine',
    forbids: ['clamps', 'clamps-final'],
    loses: ['clamp-snug', 'clamp-final']
  },
  {
    id: 'IL.34',
    // on the bench nothing drives it
    on: ['rotor-pin-in', 'gear-meshed'],
    off: [],
    bar: 'Lock pin in the distributor: no cap, no crank',
    never: 'Fit the cap, or turn the engine, with the lock pin in.',
    because: 'Pin, gear or rotor breaks.',
    first: 'lock pin out, laid down in sight',
    ifItHappened: 'Remove it; inspect rotor, pin and gear.',
    harm: 'machine',
    forbids: ['fits-cap', 'turns-crank', 'turns-back', 'cranks-by-power', 'starts'],
    loses: ['unit-ready']
  },
  {
    id: 'IL.35',
    on: [],
    off: ['gasket-fitted'],
    bar: 'Seal not fitted: no final depth, no start',
    never: 'Measure engagement or bottoming for good, or start, without the seal that will stay.',
    because: 'The seat stands higher by its thickness, and oil leaks.',
    ifItHappened: 'Fit it, then measure again with it in.',
    harm: 'result',
    forbids: ['starts', 'measures-depth'],
    loses: ['engagement-ok', 'bottoming-ok']
  },
  {
    id: 'IL.42',
    on: [],
    off: ['pump-shaft-present'],
    bar: 'Oil-pump shaft not seen: do not start',
    never: 'Start before the oil-pump shaft was seen in its place.',
    because: 'The pump is not driven, or its shaft lies in the sump.',
    ifItHappened: 'Stop at once; fish for the shaft, fit its clip, prime.',
    harm: 'machine',
    forbids: ['starts'],
    loses: ['oil-primed']
  },
  {
    id: 'IL.45',
    on: [],
    off: ['clamp-snug'],
    bar: 'Clamp loose: do not start',
    never: 'Start with a loose clamp.',
    because: 'The drive\u2019s push turns the housing, and with it the timing.',
    ifItHappened: 'Stop, set the housing to the firing point again, nip the clamp.',
    harm: 'machine',
    forbids: ['starts'],
    loses: ['housing-indexed']
  },
  {
    id: 'IL.46',
    on: [],
    off: ['clamp-final'],
    bar: 'Clamp not at torque: no load, no road',
    never: 'Load the engine, or take it on the road, before the clamp is at torque.',
    because: 'The timing drifts.',
    ifItHappened: 'Stop, read the timing again, tighten the clamp to its torque.',
    harm: 'machine',
    forbids: ['loads'],
    loses: ['base-timing-set']
  },
  {
    id: 'IL.73',
    on: [],
    off: ['leads-mapped'],
    bar: 'Leads not mapped: pull one at a time',
    never: 'Pull more than one lead before the leads are mapped.',
    because: 'Their order is lost.',
    ifItHappened: 'Rebuild it from firing order and rotation, and trace every lead.',
    harm: 'result',
    forbids: ['pulls-leads'],
    loses: ['leads-fitted']
  }
];
