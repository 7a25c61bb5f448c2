import type { Rule } from '../../job/rules.ts';
import type { ToothVocabulary } from './vocabulary.ts';

export const rules: Rule<ToothVocabulary['flag']>[] = [
  {
    id: 'IL.02',
    on: ['drive-shaft-out'],
    off: ['shaft-held-down'],
    bar: 'Drive shaft not held down: do not turn the crank now',
    never: 'Turn the crank at all.',
    because: 'A shaft that nothing holds climbs its helix and spoils the crank gear.',
    ifItHappened: 'Stop, do not turn back, push the shaft down with a rod and look at the teeth.',
    harm: 'machine'
  },
  {
    id: 'IL.02u',
    on: ['shaft-unsupported'],
    off: [],
    bar: 'Nothing holds the drive shaft down: do not turn the crank now',
    never: 'Turn the crank, unless a second person presses the shaft down with a rod.',
    because: 'A shaft that nothing holds climbs its helix and spoils the crank gear.',
    ifItHappened: 'Stop, do not turn back, push the shaft down with a rod and look at the teeth.',
    harm: 'machine'
  }
];
