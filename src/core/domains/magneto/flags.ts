import type { FlagWords } from '../../job/run-sheet.ts';

/** States of a magneto on its engine; a danger must be off before anything turns by power. */
export const flags = {
  'magneto-grounded': { on: 'magneto grounded, and proved so', off: 'magneto live', danger: false, hard: true },
  'spring-shaft-open': {
    on: 'spring-loaded shaft not covered',
    off: 'shaft seated, its cover bolted',
    danger: true,
    hard: true,
    sayable: true
  },
  'magneto-on': { on: 'magneto on the engine', off: 'magneto off the engine', danger: false },
  'impulse-set': { on: 'magneto just past its snap for number one', off: 'magneto not set at its snap', danger: false },
  'flange-stands-off': {
    on: 'flange does not close by hand',
    off: 'flange faces touch by hand',
    danger: true,
    hard: true,
    sayable: true
  },
  'coupling-oriented': { on: 'drive coupling stands as it must', off: 'drive coupling not looked at', danger: false },
  'snap-proved': { on: 'snap heard at its mark', off: 'snap not proved', danger: false },
  'run-proved': { on: 'running spark proved', off: 'running spark not proved', danger: false }
} as const satisfies Record<string, FlagWords>;
