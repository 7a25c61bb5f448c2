import type { Rule } from '../../job/rule.ts';
import type { BleedingVocabulary } from './vocabulary.ts';

export const rules: Rule<BleedingVocabulary['flag']>[] = [
  {
    id: 'IL.61',
    on: [],
    off: ['stop-proved'],
    bar: 'Two ways of stopping not proved: do not start it',
    never: 'Start a diesel for the first time before two ways of stopping it are proved.',
    because: 'It can run away, and then the usual stop does nothing.',
    first: 'two independent ways of stopping it tried, each by itself',
    ifItHappened: 'Block the intake with the plate, shut the fuel, stay out of the plane of what turns.',
    harm: 'person',
    forbids: ['starts'],
    loses: ['stop-proved']
  },
  {
    id: 'IL.62',
    on: [],
    off: ['pump-oil-primed'],
    where: [{ fact: 'pumpOilFed', is: true }],
    bar: 'Pump\u2019s oil not looked at: do not start it',
    never: 'Start the engine before an oil-fed pump has its oil.',
    because: 'The pump seizes.',
    ifItHappened: 'Stop, prime the pump, turn it by hand and feel that it is free.',
    harm: 'machine',
    forbids: ['starts'],
    loses: []
  },
  {
    id: 'IL.71',
    on: [],
    off: ['pump-timing-verified'],
    bar: 'Timing not proved: leave the idle alone',
    never: 'Set the idle before the timing is proved.',
    because: 'The idle screw hides a wrong timing.',
    ifItHappened: 'Bring the idle back to where it was, prove the timing, then set it.',
    harm: 'result',
    forbids: ['sets-idle'],
    loses: ['idle-set']
  },
  {
    id: 'IL.87',
    on: ['glow-in-use'],
    off: [],
    where: [{ chosen: 'cold-aid', is: 'ether' }],
    bar: 'Glow plugs in use: no ether',
    never: 'Use ether with glow plugs or a heated intake.',
    because: 'It explodes in the intake and breaks rings.',
    first: 'another cold aid, or none',
    ifItHappened: 'Stop, ventilate, measure the compression.',
    harm: 'person',
    forbids: ['starts'],
    loses: []
  }
];
