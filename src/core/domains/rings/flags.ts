import type { FlagWords } from '../../job/run-sheet.ts';

/** States of the job, as the bench says them; a danger must be off before anything turns by power. */
export const flags = {
  'rings-counted': {
    on: 'thrust rings counted',
    off: 'thrust rings not counted',
    danger: false,
    hard: true,
    counted: true
  }
} as const satisfies Record<string, FlagWords>;
