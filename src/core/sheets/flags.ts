/**
 * States of the job that steps and interlocks depend on. `on` and `off` say them as the bench would;
 * a danger must be off before anything turns by power.
 */
export const flags = {
  'data-confirmed': { on: 'data sheet confirmed', off: 'data sheet not confirmed', danger: false },
  'vehicle-secured': { on: 'machine secured', off: 'machine not secured', danger: false },
  'battery-isolated': { on: 'battery lead off', off: 'battery lead on', danger: false },
  'fuel-disabled': { on: 'fuel shut', off: 'fuel open', danger: false },
  'unit-ready': { on: 'distributor ready on the bench', off: 'distributor not checked on the bench', danger: false },
  'plugs-out': { on: 'plugs out', off: 'plugs in', danger: false },
  'barring-tool-fitted': { on: 'barring tool on the crank', off: 'barring tool off', danger: true },
  'degree-wheel-on': { on: 'degree wheel on the crank', off: 'degree wheel off', danger: true },
  'probe-in': { on: 'probe in cylinder 1', off: 'probe out', danger: true },
  'piston-stop-in': { on: 'piston stop in cylinder 1', off: 'piston stop out', danger: true },
  'tdc-true': { on: 'true TDC found', off: 'true TDC not found', danger: false },
  'mark-judged': { on: 'mark judged against true TDC', off: 'mark not judged', danger: false },
  'scale-made': { on: 'scale made', off: 'no scale made', danger: false },
  'compression-confirmed': { on: 'stroke proved', off: 'stroke not proved', danger: false },
  'crank-at-reference': { on: 'crank at the reference', off: 'crank not at the reference', danger: false },
  'slack-taken-up': { on: 'slack taken up forward', off: 'slack not taken up', danger: false },
  'distributor-out': { on: 'distributor out', off: 'distributor in', danger: true },
  'rotor-pin-in': { on: 'lock pin in the distributor', off: 'lock pin out', danger: true },
  'gasket-fitted': { on: 'gasket on', off: 'no gasket', danger: false },
  'pump-shaft-present': { on: 'oil-pump shaft seen', off: 'oil-pump shaft not seen', danger: false },
  'oil-drive-prealigned': { on: 'oil-pump slot set', off: 'oil-pump slot not set', danger: false },
  'gear-meshed': { on: 'gear in mesh', off: 'gear not in mesh', danger: false },
  'distributor-seated': { on: 'distributor on its seat', off: 'distributor not on its seat', danger: false },
  'tooth-chosen': { on: 'tooth judged right', off: 'tooth not judged', danger: false },
  'housing-indexed': { on: 'housing set to the firing point', off: 'housing not set', danger: false },
  'housing-room-ok': { on: 'room to turn the housing', off: 'room not checked', danger: false },
  'clamp-snug': { on: 'clamp snug', off: 'clamp loose', danger: false },
  'clamp-final': { on: 'clamp at torque', off: 'clamp not at torque', danger: false },
  'cap-off': { on: 'cap off', off: 'cap on', danger: false },
  'leads-fitted': { on: 'leads fitted in order', off: 'leads not fitted', danger: false },
  'oil-primed': { on: 'oil primed', off: 'oil not primed', danger: false },
  'vacuum-plugged': { on: 'vacuum hose off and plugged', off: 'vacuum hose on', danger: false },
  'strobe-connected': { on: 'strobe connected', off: 'strobe not connected', danger: false },
  'sweep-done': { on: 'nothing left on or in the engine', off: 'pre-start walk not done', danger: false },
  'engine-running': { on: 'engine running', off: 'engine stopped', danger: true },
  'ignition-live': { on: 'ignition on', off: 'ignition off', danger: true },
  'base-timing-set': { on: 'timing proved with the strobe', off: 'timing not proved', danger: false },
  'log-closed': { on: 'log closed', off: 'log open', danger: false }
} as const;

/** Lacking or having these hurts people or breaks machines: they are made true, never overruled. */
const HARD: ReadonlySet<string> = new Set([
  'battery-isolated',
  'vehicle-secured',
  'probe-in',
  'piston-stop-in',
  'rotor-pin-in',
  'barring-tool-fitted',
  'degree-wheel-on',
  'ignition-live',
  'sweep-done',
  'clamp-snug',
  'gear-meshed',
  'distributor-seated',
  'pump-shaft-present',
  'strobe-connected',
  'engine-running'
]);
export const isHard = (f: FlagId): boolean => HARD.has(f);

export type FlagId = keyof typeof flags;
export const isFlag = (f: string): f is FlagId => Object.hasOwn(flags, f);
