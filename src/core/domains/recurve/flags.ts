import type { FlagWords } from '../../job/run-sheet.ts';

/** States of the job, as the bench says them. */
export const flags = {
  'curve-targets': { on: 'target set', off: 'no target set', danger: false },
  'curve-fitted': { on: 'springs and stop in', off: 'springs and stop not in', danger: false }
} as const satisfies Record<string, FlagWords>;
