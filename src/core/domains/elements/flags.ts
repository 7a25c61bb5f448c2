import type { FlagWords } from '../../job/run-sheet.ts';

/** States of the bench. */
export const flags = {
  'phase-mounted': { on: 'pump on the bench, warm and bled', off: 'pump not ready on the bench', danger: false },
  'elements-even': { on: 'spacing of the elements proved', off: 'spacing of the elements not proved', danger: false },
  'bench-sealed': { on: 'pump locked, sealed and tagged', off: 'pump not sealed', danger: false }
} as const satisfies Record<string, FlagWords>;
