import type { FlagWords } from '../../job/run-sheet.ts';

/** States of the job, as the bench says them; a danger must be off before anything turns by power. */
export const flags = {
  'tooth-chosen': { on: 'tooth judged right', off: 'tooth not judged', danger: false, lostBy: ['lifts-unit'] },
  'drive-oriented': {
    on: 'drive points where it should',
    off: 'direction of the drive not judged',
    danger: false,
    lostBy: ['lifts-unit']
  },
  'drive-shaft-out': { on: 'drive shaft out', off: 'drive shaft in', danger: true },
  'shaft-held-down': { on: 'drive shaft held down', off: 'drive shaft not held down', danger: false, hard: true },
  'shaft-fault-proved': {
    on: 'shaft proved to be the fault',
    off: 'shaft not proved to be the fault',
    danger: false,
    hard: true,
    counted: true
  },
  'shaft-unsupported': {
    on: 'nothing holds the drive shaft down',
    off: 'drive shaft down and held',
    danger: true,
    hard: true
  },
  'shaft-rod-held': {
    on: 'a second person presses the shaft down with a rod',
    off: 'no rod on the shaft',
    danger: false,
    hard: true
  },
  'nothing-drops': {
    on: 'the whole range was searched, nothing dropped',
    off: 'what held it up was found',
    danger: true,
    hard: true,
    sayable: true
  },
  'shaft-jams': { on: 'the shaft resists', off: 'the shaft comes freely', danger: true, hard: true, sayable: true },
  'flange-aged': { on: 'flange aged by heat', off: 'flange sound', danger: true, hard: true, sayable: true },
  'puller-proved': { on: 'puller tried on the bench', off: 'puller not tried', danger: false, hard: true },
  'spring-out': { on: 'preload spring out', off: 'preload spring in', danger: true, hard: true },
  'pushrod-out': { on: 'push rod and flange off', off: 'push rod and flange on', danger: true, hard: true },
  'cam-timed': { on: 'cam meshed on its marks', off: 'cam not meshed', danger: false }
} as const satisfies Record<string, FlagWords>;
