import type { Rule } from '../../job/rule.ts';
import type { PumpVocabulary } from './vocabulary.ts';

/** Nobody has said which of the two charts is in hand. */
export const CHART_KIND_UNKNOWN: Rule<PumpVocabulary['flag']> = {
  id: 'IL.56',
  worked: true,
  on: [],
  off: [],
  bar: 'Kind of chart not known: no angle from a lift',
  never: 'Turn a lift into an angle before the kind of the chart is known.',
  because: 'Lift standing at TDC and lift to port closure are two different quantities.',
  first: 'the kind of the chart, from its legend or the maker\u2019s text',
  ifItHappened: 'Find the legend, say the kind, and take the angle as not measured until then.',
  harm: 'result',
  forbids: ['converts-lift'],
  loses: ['pump-timing-verified']
};

export const rules: Rule<PumpVocabulary['flag']>[] = [
  CHART_KIND_UNKNOWN,
  {
    id: 'IL.48',
    on: ['pump-locked'],
    off: ['pump-gear-loose'],
    bar: 'Pump locked, gear tight: do not turn the engine',
    never: 'Turn the engine by any means while the pump is locked and its gear is tight.',
    because: 'The gear carries the crank into the lock, and lock, governor or shaft breaks.',
    first: 'lock out, or gear loose on its shaft',
    ifItHappened: 'Stop, replace the lock, have the pump looked at by a pump shop, set it anew.',
    harm: 'machine',
    forbids: ['turns-crank', 'turns-back', 'cranks-by-power', 'starts'],
    loses: ['pump-timing-verified', 'taper-prelim', 'crank-at-reference', 'slack-taken-up']
  },
  {
    id: 'IL.49',
    on: ['pump-locked'],
    off: ['taper-prelim'],
    bar: 'No first torque yet: leave the lock in',
    never: 'Take the lock out before the gear has its first torque.',
    because: 'The pump\u2019s springs turn its shaft.',
    first: 'gear at its first torque',
    ifItHappened: 'Lock it again from its data, and repeat the whole setting.',
    harm: 'result',
    forbids: ['removes-lock'],
    loses: ['pump-timing-verified', 'taper-prelim']
  },
  {
    id: 'IL.50',
    on: ['taper-prelim'],
    off: ['taper-final'],
    bar: 'First torque only: do not turn, do not start',
    never: 'Turn or start the engine while the gear has its first torque only.',
    because: 'The gear can slip on its taper.',
    ifItHappened: 'Check the timing, clean the taper, set it anew.',
    harm: 'machine',
    forbids: ['turns-crank', 'turns-back', 'cranks-by-power', 'starts'],
    loses: ['pump-timing-verified', 'taper-prelim', 'taper-clean', 'crank-at-reference', 'slack-taken-up']
  },
  {
    id: 'IL.51',
    on: [],
    off: ['taper-clean'],
    bar: 'Tapers not clean: do not fit the gear',
    never: 'Fit a gear without a key on a taper that is not clean and dry.',
    because: 'It holds by friction alone, and a film of oil takes that away.',
    ifItHappened: 'Take it off, clean both tapers, look for fretting.',
    harm: 'machine',
    forbids: ['fits-gear'],
    loses: ['taper-prelim']
  },
  {
    id: 'IL.52',
    on: [],
    off: ['key-agreed'],
    bar: 'Key not looked at: do not torque the taper',
    never: 'Torque the taper before the key is as the data sheet says.',
    because: 'A loose key shears, and one that should not be there holds the gear off its angle.',
    first: 'key fitted, or left out, as the data sheet says',
    ifItHappened: 'Loosen it, fit or remove the key, look at shaft and gear.',
    harm: 'machine',
    forbids: ['torques-taper'],
    loses: ['taper-prelim']
  },
  {
    id: 'IL.53',
    on: ['pump-gear-loose'],
    off: ['pump-held', 'pump-locked'],
    bar: 'Gear loose, pump neither held nor locked: do not turn',
    never: 'Turn the crank or let the pump go while its gear is loose and its hub neither held nor locked.',
    because: 'The cam\u2019s springs throw the pump to another angle.',
    first: 'pump\u2019s hub held, or pump locked',
    ifItHappened: 'Go back to the base circle and begin the lift again.',
    harm: 'result',
    forbids: ['turns-crank', 'turns-back', 'releases-pump'],
    loses: ['indicator-zeroed', 'pump-timing-verified']
  },
  {
    id: 'IL.54',
    on: ['pump-on'],
    off: ['support-bracket-on'],
    where: [{ fact: 'rearSupport', is: true }],
    bar: 'Rear support off: do not run it',
    never: 'Run the engine, or pull sideways on the pump, without its rear support.',
    because: 'The overhang breaks cover or flange.',
    ifItHappened: 'Stop, look at case and flange for cracks.',
    harm: 'machine',
    forbids: ['starts', 'cranks-by-power', 'runs-on'],
    loses: []
  },
  {
    id: 'IL.55',
    on: [],
    off: ['chart-confirmed'],
    bar: 'Chart not proved: accept no lift',
    never: 'Accept a lift before the chart is proved to be this pump\u2019s.',
    because: 'A neighbour\u2019s chart gives an angle that looks right and is wrong.',
    ifItHappened: 'Stop, read the plate, take the lift anew; if it ran so, look for heat and smoke damage.',
    harm: 'machine',
    forbids: ['accepts-lift'],
    loses: ['pump-timing-verified']
  },
  {
    id: 'IL.57',
    on: ['indicator-on'],
    off: ['travel-proved'],
    bar: 'Dial\u2019s travel not proved: no zero, no lift',
    never: 'Take a zero or a lift before the dial has travel left both ways.',
    because: 'A dial at its end stands still and shows a base circle or a top that is none.',
    ifItHappened: 'Mount the dial anew with travel left, zero it again.',
    harm: 'result',
    forbids: ['zeroes', 'accepts-lift'],
    loses: ['indicator-zeroed']
  },
  {
    id: 'IL.58',
    on: ['dial-uncounted'],
    off: [],
    bar: 'A turn of the dial not counted: accept no lift',
    never: 'Accept a lift after a whole turn of the dial went by uncounted.',
    because: 'The lift is then wrong by a whole turn.',
    first: 'back on the base circle, zeroed, every turn counted',
    ifItHappened: 'Go back to the base circle and count aloud.',
    harm: 'result',
    forbids: ['accepts-lift'],
    loses: ['indicator-zeroed']
  },
  {
    id: 'IL.59',
    on: ['delivery-valve-out'],
    off: [],
    bar: 'Delivery valve out: no starter',
    never: 'Crank by power with the delivery valve out, or leave its place open.',
    because: 'Fuel jets out, dirt gets in, parts are lost.',
    first: 'delivery valve, holder and line back in',
    ifItHappened: 'Stop, see to people, clean and look at every part before it goes back.',
    harm: 'person',
    forbids: ['cranks-by-power', 'starts'],
    loses: ['indicator-zeroed']
  },
  {
    id: 'IL.60',
    on: ['lines-loose'],
    off: [],
    bar: 'Fuel lines loose: keep skin away',
    never: 'Put skin near a loose or leaking fuel line, or feel for a leak with a hand.',
    because: 'A jet enters the skin: an emergency, though it looks small.',
    first: 'every line tight, and leaks looked for with paper',
    ifItHappened: 'Emergency care at once; say that fuel was injected.',
    harm: 'person',
    forbids: ['skin-near-line'],
    loses: []
  },
  {
    id: 'IL.86',
    on: ['outlet-uncapped'],
    off: [],
    bar: 'Union or outlet open: cap it',
    never: 'Leave a fuel union or a pump\u2019s outlet open and uncapped.',
    because: 'Dirt destroys valves and nozzles.',
    ifItHappened: 'Flush it, look at the valve, replace it if it is scored.',
    harm: 'machine',
    forbids: ['turns-crank', 'cranks-by-power', 'starts'],
    loses: []
  },
  {
    id: 'IL.91',
    on: ['pump-locked'],
    off: [],
    bar: 'Pump locked: no starter, no final torque',
    never: 'Use the starter, or apply the final torque, with the pump locked.',
    because: 'The lock is made for the first torque and the force of a hand.',
    ifItHappened: 'Stop, replace the lock, have the pump looked at, set it anew.',
    harm: 'machine',
    forbids: ['cranks-by-power', 'starts', 'torques-final'],
    loses: ['pump-timing-verified', 'taper-prelim']
  }
];
