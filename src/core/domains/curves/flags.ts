import type { FlagWords } from '../../job/run-sheet.ts';

/** States of the job, as the bench says them; a danger must be off before anything turns by power. */
export const flags = {
  'advance-free': { on: 'weights move and return', off: 'weights not tried', danger: false },
  'baseline-known': { on: 'curve known as it was found', off: 'curve not known as it was found', danger: false },
  'curve-verified': { on: 'curve measured', off: 'curve not measured', danger: false },
  'vacuum-set': { on: 'vacuum advance checked', off: 'vacuum advance not checked', danger: false },
  'capsule-ok': { on: 'vacuum capsule holds', off: 'vacuum capsule not tried', danger: false },
  'advance-parts-counted': {
    on: 'advance parts on a tray, counted',
    off: 'advance parts not counted onto a tray',
    danger: false,
    hard: true,
    sayable: true
  },
  'retard-for-start': {
    on: 'a retard for starting is there',
    off: 'no retard for starting',
    danger: false,
    hard: true,
    sayable: true
  }
} as const satisfies Record<string, FlagWords>;
