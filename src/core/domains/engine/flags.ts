import type { FlagWords } from '../../job/run-sheet.ts';

/** States of the job, as the bench says them; a danger must be off before anything turns by power. */
export const flags = {
  'data-confirmed': { on: 'data sheet confirmed', off: 'data sheet not confirmed', danger: false },
  'vehicle-secured': { on: 'machine secured', off: 'machine not secured', danger: false, hard: true },
  'battery-isolated': { on: 'battery lead off', off: 'battery lead on', danger: false, hard: true },
  'fuel-disabled': { on: 'fuel shut', off: 'fuel open', danger: false },
  'plugs-out': { on: 'plugs out', off: 'plugs in', danger: false },
  'barring-tool-fitted': { on: 'barring tool on the crank', off: 'barring tool off', danger: true, hard: true },
  'openings-covered': { on: 'openings covered, parts counted', off: 'openings not covered', danger: false, hard: true },
  'oil-primed': { on: 'oil primed', off: 'oil not primed', danger: false },
  'sweep-done': { on: 'nothing left on or in the engine', off: 'pre-start walk not done', danger: false, hard: true },
  'engine-running': { on: 'engine running', off: 'engine stopped', danger: true, hard: true },
  'ignition-live': { on: 'ignition on', off: 'ignition off', danger: true, hard: true },
  'log-closed': { on: 'log closed', off: 'log open', danger: false }
} as const satisfies Record<string, FlagWords>;
