import type { Rule } from '../../job/rule.ts';
import type { GearsVocabulary } from './vocabulary.ts';

export const rules: Rule<GearsVocabulary['flag']>[] = [
  {
    id: 'IL.37',
    on: [],
    off: ['gear-material-ok'],
    bar: 'Gear\u2019s material not agreed: do not run it',
    never: 'Run a changed gear, distributor or camshaft before its material is agreed in writing.',
    because: 'The wrong pair destroys the camshaft\u2019s gear.',
    ifItHappened: 'Stop, look at the teeth, look for metal in the oil.',
    harm: 'machine',
    forbids: ['starts'],
    loses: []
  },
  {
    id: 'IL.39',
    on: ['gear-redrilled', 'gear-index-logged'],
    off: [],
    bar: 'Gear drilled anew: the old log of its teeth is void',
    never: 'Go by the logged rotor against teeth after the gear was drilled anew or replaced.',
    because: 'Rotor and teeth stand to each other as the new hole has it.',
    first: 'rotor against teeth logged again on the gear as it is now',
    ifItHappened: 'Log it again, work out the housing\u2019s place and its room again.',
    harm: 'result',
    forbids: ['indexes', 'closes-log'],
    loses: ['gear-index-logged']
  },
  {
    id: 'IL.38',
    on: ['gear-off'],
    off: ['gear-index-logged'],
    bar: 'Gear off, rotor against teeth not logged: do not pin it',
    never: 'Drive the gear\u2019s pin before rotor against teeth is logged.',
    because: 'Half a turn of the gear moves rotor against teeth when their count is odd.',
    ifItHappened: 'Rebuild the relation from the old gear before it is fitted.',
    harm: 'result',
    forbids: ['pins-gear'],
    loses: ['gear-pinned']
  }
];
