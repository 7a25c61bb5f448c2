import type { FlagWords } from '../../job/run-sheet.ts';

/** States of the job, as the bench says them; a danger must be off before anything turns by power. */
export const flags = {
  'data-confirmed': { on: 'data sheet confirmed', off: 'data sheet not confirmed', danger: false },
  'vehicle-secured': { on: 'machine secured', off: 'machine not secured', danger: false, hard: true, always: true },
  'battery-isolated': { on: 'battery lead off', off: 'battery lead on', danger: false, hard: true, always: true },
  'fuel-disabled': { on: 'fuel shut', off: 'fuel open', danger: false },
  'plugs-out': { on: 'plugs out', off: 'plugs in', danger: false },
  'barring-tool-fitted': { on: 'barring tool on the crank', off: 'barring tool off', danger: true, hard: true },
  'engine-pin-in': { on: 'timing pin in the engine', off: 'timing pin out', danger: true, hard: true, sayable: true },
  'part-missing': {
    on: 'a part is missing, or was heard falling',
    off: 'every part found and counted',
    danger: true,
    hard: true,
    sayable: true
  },
  'hand-at-opening': {
    on: 'a hand is at a plug or probe opening',
    off: 'hands away from the openings',
    danger: true,
    hard: true,
    sayable: true
  },
  'second-person': {
    on: 'a second person works at the engine',
    off: 'nobody else at the engine',
    danger: false,
    sayable: true
  },
  'one-voice': {
    on: 'one voice gives the orders, each is answered',
    off: 'no one voice agreed',
    danger: false,
    hard: true,
    sayable: true
  },
  'engine-cold': { on: 'engine below its temperature', off: 'engine warm, choke off', danger: true, sayable: true },
  'cam-fresh': { on: 'fresh cam or gear, not run in', off: 'cam and gear run in', danger: true, sayable: true },
  'on-stand': { on: 'engine on a stand', off: 'engine not on a stand', danger: false, sayable: true },
  'stand-locked': {
    on: 'swivel of the stand locked',
    off: 'swivel of the stand not locked',
    danger: false,
    hard: true,
    sayable: true
  },
  vapour: {
    on: 'solvent or fuel vapour in the bay',
    off: 'bay aired, no vapour',
    danger: true,
    hard: true,
    sayable: true
  },
  'openings-covered': {
    on: 'openings covered, parts counted',
    off: 'openings not covered',
    danger: false,
    hard: true,
    lostBy: ['opens-up']
  },
  'oil-primed': { on: 'oil primed', off: 'oil not primed', danger: false },
  'sweep-done': {
    on: 'nothing left on or in the engine',
    off: 'pre-start walk not done',
    danger: false,
    hard: true,
    counted: true,
    lostBy: ['opens-up', 'lifts-unit']
  },
  'engine-running': { on: 'engine running', off: 'engine stopped', danger: true, hard: true, always: true },
  'oil-pressure-up': { on: 'oil pressure up', off: 'no oil pressure', danger: false, hard: true, sayable: true },
  'ignition-live': { on: 'ignition on', off: 'ignition off', danger: true, hard: true, sayable: true },
  'log-closed': { on: 'log closed', off: 'log open', danger: false }
} as const satisfies Record<string, FlagWords>;
