import type { FlagWords } from '../../job/run-sheet.ts';

/** States of what came in. */
export const flags = {
  'received-recorded': { on: 'recorded as it came in', off: 'not recorded as it came in', danger: false },
  'wear-read': { on: 'wear pattern read', off: 'wear pattern not read', danger: false },
  'parts-decided': { on: 'every part decided', off: 'parts not decided', danger: false }
} as const satisfies Record<string, FlagWords>;
