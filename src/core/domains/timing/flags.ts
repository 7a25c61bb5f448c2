import type { FlagWords } from '../../job/run-sheet.ts';

/** States of the job, as the bench says them; a danger must be off before anything turns by power. */
export const flags = {
  'housing-indexed': {
    on: 'housing set to the firing point',
    off: 'housing not set',
    danger: false,
    lostBy: ['lifts-unit']
  },
  'housing-room-ok': { on: 'room to turn the housing', off: 'room not checked', danger: false, lostBy: ['lifts-unit'] },
  'strobe-connected': { on: 'strobe connected', off: 'strobe not connected', danger: false, hard: true },
  'vacuum-plugged': { on: 'vacuum hose off and plugged', off: 'vacuum hose on', danger: false, only: 'vacuumUnit' },
  'base-timing-set': { on: 'timing proved with the strobe', off: 'timing not proved', danger: false },
  'rotor-phase-ok': {
    on: 'rotor stands under its tower at the spark',
    off: 'rotor phase not looked at',
    danger: false,
    lostBy: ['lifts-unit']
  },
  'bias-on': {
    on: 'bias for the first start in the setting',
    off: 'no bias in the setting',
    danger: true
  },
  'gap-set': { on: 'gap and dwell set', off: 'gap and dwell not set', danger: false },
  'trigger-verified': { on: 'firing edge known', off: 'firing edge not known', danger: false },
  'advance-locked': {
    on: 'advance proved locked',
    off: 'advance can move',
    danger: false,
    hard: true,
    sayable: true
  },
  'fixed-mode': {
    on: 'control unit in its fixed mode',
    off: 'control unit moves the spark',
    danger: false,
    sayable: true
  }
} as const satisfies Record<string, FlagWords>;
