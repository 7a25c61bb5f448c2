import type { Rule } from '../../job/rules.ts';
import type { EngineVocabulary } from './vocabulary.ts';

export const rules: Rule<EngineVocabulary['flag']>[] = [
  {
    id: 'IL.15',
    on: ['barring-tool-fitted'],
    off: [],
    bar: 'Bar on the crank: no starter',
    never: 'Operate the starter.',
    because: 'The bar is thrown.',
    ifItHappened: 'Isolate, see to people, inspect bolt, key and radiator.',
    harm: 'person'
  },
  {
    id: 'IL.20',
    on: [],
    off: ['battery-isolated'],
    bar: 'Battery connected: hands out',
    never: 'Reach into fan, belt, flywheel or open bore.',
    because: 'The engine may turn.',
    ifItHappened: 'Stop, isolate, check again.',
    harm: 'person'
  },
  {
    id: 'IL.90',
    on: ['engine-running'],
    off: [],
    bar: 'Engine running: do not reach across',
    never: 'Adjust by reaching across belts.',
    because: 'Clothing and hands are drawn in.',
    ifItHappened: 'Stop the engine first.',
    harm: 'person'
  }
];
