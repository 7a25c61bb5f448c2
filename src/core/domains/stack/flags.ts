import type { FlagWords } from '../../job/run-sheet.ts';

/** States of the job, as the bench says them; a danger must be off before anything turns by power. */
export const flags = {
  'gasket-changed': {
    on: 'another gasket than the one measured with',
    off: 'gasket as it was measured with',
    danger: true,
    sayable: true
  },
  'bottoming-ok': {
    on: 'does not bottom',
    off: 'bottoming not checked',
    danger: false,
    hard: true,
    counted: true
  },
  'engagement-ok': {
    on: 'oil-pump drive deep enough',
    off: 'depth of the oil-pump drive not checked',
    danger: false,
    hard: true,
    counted: true
  },
  'pattern-read': { on: 'contact pattern read', off: 'contact not read', danger: false },
  'gauge-washer-in': { on: 'gauge washer in the engine', off: 'gauge washer out', danger: true, hard: true },
  'packing-chosen': { on: 'packing chosen', off: 'packing not chosen', danger: false },
  'float-verified': { on: 'end float proved', off: 'end float not proved', danger: false }
} as const satisfies Record<string, FlagWords>;
