import type { FlagWords } from '../../job/run-sheet.ts';

/** States of the fuel's way and of the first start. */
export const flags = {
  'stop-proved': {
    on: 'two ways of stopping it tried, each by itself',
    off: 'two ways of stopping it not proved',
    danger: false,
    hard: true,
    counted: true
  },
  'low-bled': { on: 'supply side bled', off: 'supply side not bled', danger: false },
  'fuel-bled': { on: 'every line runs solid', off: 'lines not bled', danger: false },
  'pump-oil-primed': { on: 'pump has its oil', off: 'pump\u2019s oil not looked at', danger: false, hard: true },
  'glow-in-use': {
    on: 'glow plugs or a heated intake in use',
    off: 'no glow plugs, no heated intake',
    danger: false,
    sayable: true
  },
  'first-run-seen': { on: 'first run watched', off: 'first run not watched', danger: false },
  'idle-set': { on: 'idle set after the timing', off: 'idle not set', danger: false }
} as const satisfies Record<string, FlagWords>;
