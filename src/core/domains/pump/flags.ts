import type { FlagWords } from '../../job/run-sheet.ts';

/** States of the job, as the bench says them; a danger must be off before anything turns by power. */
export const flags = {
  'chart-confirmed': { on: 'chart proved to be this pump\u2019s', off: 'chart not proved', danger: false },
  'offset-planned': { on: 'ledger closed', off: 'ledger open', danger: false },
  'drive-cover-off': { on: 'drive cover off', off: 'drive cover on', danger: true, hard: true },
  'delivery-valve-out': { on: 'delivery valve out', off: 'delivery valve in', danger: true, hard: true },
  'outlet-uncapped': {
    on: 'a union or outlet stands open, uncapped',
    off: 'every open union and outlet capped',
    danger: true,
    hard: true,
    sayable: true
  },
  'indicator-on': { on: 'dial on the pump', off: 'dial off the pump', danger: true, hard: true },
  'travel-proved': { on: 'dial has travel left both ways', off: 'dial\u2019s travel not proved', danger: false },
  'indicator-zeroed': {
    on: 'dial zeroed on the base circle',
    off: 'dial not zeroed',
    danger: false
  },
  'dial-uncounted': {
    on: 'a whole turn of the dial went by uncounted',
    off: 'every turn of the dial counted',
    danger: true,
    sayable: true
  },
  'pump-on': { on: 'pump on the engine', off: 'pump off the engine', danger: false },
  'support-bracket-on': { on: 'rear support on', off: 'rear support off', danger: false, hard: true },
  'pump-oil-line-on': { on: 'oil feed fitted', off: 'oil feed not fitted', danger: false, hard: true },
  'pump-held': {
    on: 'pump\u2019s hub held',
    off: 'pump\u2019s hub not held',
    danger: false,
    hard: true,
    sayable: true
  },
  'pump-locked': { on: 'pump locked', off: 'lock out, or in its running place', danger: true, hard: true },
  'pump-gear-loose': { on: 'pump gear loose', off: 'pump gear tight', danger: true, hard: true },
  'key-agreed': { on: 'key as the data sheet says', off: 'key not looked at', danger: false },
  'taper-clean': { on: 'both tapers clean and dry', off: 'tapers not clean', danger: false, hard: true },
  'taper-prelim': { on: 'gear at its first torque', off: 'gear not at its first torque', danger: false },
  'taper-final': { on: 'gear at its final torque', off: 'gear not at its final torque', danger: false, hard: true },
  'pump-timing-verified': {
    on: 'pump timing proved by a second approach',
    off: 'pump timing not proved',
    danger: false
  },
  'lines-loose': { on: 'fuel lines loose', off: 'fuel lines tight', danger: true, hard: true }
} as const satisfies Record<string, FlagWords>;
