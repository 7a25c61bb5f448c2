import type { FlagWords } from '../../job/run-sheet.ts';

/** States of a two-stroke whose cylinders are timed each by itself; a danger must be off before anything turns by power. */
export const flags = {
  'spark-outlet-grounded': {
    on: 'every lead on a gap of the tester',
    off: 'a lead hangs free',
    danger: false,
    hard: true
  },
  'depth-table': { on: 'height worked out for this engine', off: 'height not worked out', danger: false },
  'marks-complete': {
    on: 'every cylinder has its own proved mark',
    off: 'not every cylinder has its mark',
    danger: false
  },
  'cylinders-matched': {
    on: 'every lead fires its own cylinder',
    off: 'leads not matched to cylinders',
    danger: false
  },
  'throttle-at-stop': {
    on: 'throttle held fully open',
    off: 'throttle released',
    danger: true,
    hard: true,
    sayable: true
  },
  'arm-on-stop': {
    on: 'timing arm proved on its stop',
    off: 'timing arm not proved on its stop',
    danger: false,
    sayable: true
  },
  'full-advance-set': { on: 'full advance set and repeated', off: 'full advance not set', danger: false },
  'water-on': { on: 'cooling water runs', off: 'no cooling water', danger: false, hard: true, sayable: true }
} as const satisfies Record<string, FlagWords>;
