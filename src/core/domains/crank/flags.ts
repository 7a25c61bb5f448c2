import type { FlagWords } from '../../job/run-sheet.ts';

/** States of the job, as the bench says them; a danger must be off before anything turns by power. */
export const flags = {
  'degree-wheel-on': { on: 'degree wheel on the crank', off: 'degree wheel off', danger: true, hard: true },
  'probe-in': { on: 'probe in cylinder 1', off: 'probe out', danger: true, hard: true },
  'piston-stop-in': { on: 'piston stop in cylinder 1', off: 'piston stop out', danger: true, hard: true },
  'tdc-true': { on: 'true TDC found', off: 'true TDC not found', danger: false },
  'damper-verified': {
    on: 'mark judged against true TDC',
    off: 'mark not judged',
    danger: false,
    was: 'mark-judged'
  },
  'damper-changed': {
    on: 'damper, pulley or cover changed',
    off: 'mark proved on the pair that is fitted now',
    danger: true,
    sayable: true
  },
  'scale-made': { on: 'scale made', off: 'no scale made', danger: false },
  'compression-confirmed': { on: 'stroke proved', off: 'stroke not proved', danger: false },
  'crank-at-reference': { on: 'crank at the reference', off: 'crank not at the reference', danger: false },
  'slack-known': { on: 'drive slack measured', off: 'drive slack not measured', danger: false },
  'backlash-taken-up': {
    on: 'slack taken up forward',
    off: 'slack not taken up',
    danger: false,
    was: 'slack-taken-up'
  }
} as const satisfies Record<string, FlagWords>;
