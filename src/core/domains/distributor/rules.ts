import type { Rule } from '../../job/rules.ts';
import type { DistributorVocabulary } from './vocabulary.ts';

export const rules: Rule<DistributorVocabulary['flag']>[] = [
  {
    id: 'IL.01',
    on: ['distributor-out', 'crank-at-reference'],
    off: [],
    bar: 'Drive out: do not turn the crank',
    never: 'Turn the crank, bar it or let the machine move.',
    because: 'The place of rotor and tooth refers to where the crank stands now.',
    ifItHappened: 'Say so: the reference is lost and the run sheet goes back to bringing the crank there.',
    harm: 'result',
    happened: 'crank-turned'
  },
  {
    id: 'IL.01s',
    on: ['distributor-out'],
    off: [],
    bar: 'Drive out: no starter',
    never: 'Crank with the starter.',
    because: 'The oil pump is not driven, and every reference goes with the first turn.',
    ifItHappened: 'Look for the oil-pump shaft, then find the crank again.',
    harm: 'machine'
  },
  {
    id: 'IL.07',
    on: ['gear-meshed'],
    off: ['distributor-seated'],
    bar: 'Not seated: do not pull it down with the clamp',
    never: 'Pull the flange down with the clamp.',
    because: 'The drive may be standing on the pump shaft; housing or pump breaks.',
    ifItHappened: 'Slacken, inspect flange and shaft end, then turn the crank until the drive falls in.',
    harm: 'machine'
  },
  {
    id: 'IL.34',
    on: ['rotor-pin-in'],
    off: [],
    bar: 'Lock pin in the distributor: no cap, no crank',
    never: 'Fit the cap or turn the engine.',
    because: 'Pin, gear or rotor breaks.',
    ifItHappened: 'Remove it; inspect rotor, pin and gear.',
    harm: 'machine'
  }
];
