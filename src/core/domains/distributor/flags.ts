import type { FlagWords } from '../../job/run-sheet.ts';

/** States of the job, as the bench says them; a danger must be off before anything turns by power. */
export const flags = {
  'unit-ready': { on: 'distributor ready on the bench', off: 'distributor not checked on the bench', danger: false },
  'distributor-out': { on: 'distributor out', off: 'distributor in', danger: true },
  'rotor-pin-in': { on: 'lock pin in the distributor', off: 'lock pin out', danger: true, hard: true },
  'gear-lubed': { on: 'gear wet with the right lubricant', off: 'gear not lubricated', danger: false },
  'gasket-fitted': { on: 'seal on', off: 'no seal', danger: false },
  'pump-shaft-present': {
    on: 'oil-pump shaft seen',
    off: 'oil-pump shaft not seen',
    danger: false,
    hard: true,
    lostBy: ['lifts-unit']
  },
  'oil-drive-prealigned': { on: 'oil-pump slot set', off: 'oil-pump slot not set', danger: false },
  'gear-meshed': {
    on: 'gear in mesh',
    off: 'gear not in mesh',
    danger: false,
    hard: true,
    lostBy: ['lifts-unit']
  },
  'distributor-seated': {
    on: 'distributor on its seat',
    off: 'distributor not on its seat',
    danger: false,
    hard: true,
    lostBy: ['lifts-unit']
  },
  'cap-off': { on: 'cap off', off: 'cap on', danger: false },
  'leads-fitted': { on: 'leads fitted in order', off: 'leads not fitted', danger: false },
  'clamp-snug': { on: 'clamp snug', off: 'clamp loose', danger: false, hard: true, lostBy: ['lifts-unit'] },
  'clamp-final': { on: 'clamp at torque', off: 'clamp not at torque', danger: false, lostBy: ['lifts-unit'] },
  'oil-drive-engaged': {
    on: 'oil-pump drive engaged',
    off: 'oil-pump drive not engaged',
    danger: false,
    hard: true,
    lostBy: ['lifts-unit']
  },
  'witness-marks': { on: 'witness marks made', off: 'no witness marks', danger: false },
  'leads-mapped': { on: 'leads mapped', off: 'leads not mapped', danger: false },
  'unit-compared': { on: 'old and new compared', off: 'old and new not compared', danger: false }
} as const satisfies Record<string, FlagWords>;
