import type { FlagWords } from '../../job/run-sheet.ts';

/** States of the job, as the bench says them; a danger must be off before anything turns by power. */
export const flags = {
  'bodies-compared': { on: 'bodies compared', off: 'bodies not compared', danger: false },
  'gear-material-ok': { on: 'gear material agreed', off: 'gear material not agreed', danger: false },
  'gear-index-logged': { on: 'rotor against teeth logged', off: 'rotor against teeth not logged', danger: false },
  'gear-redrilled': {
    on: 'gear drilled anew, or another gear',
    off: 'gear and its hole as logged',
    danger: true,
    sayable: true
  },
  'gear-off': { on: 'gear off its shaft', off: 'gear on its shaft', danger: true, hard: true },
  'gear-pinned': { on: 'gear pinned', off: 'gear not pinned', danger: false, hard: true },
  'dist-float-known': { on: 'float on the bench known', off: 'float on the bench not known', danger: false }
} as const satisfies Record<string, FlagWords>;
