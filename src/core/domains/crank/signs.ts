import { likelihood, type Sign, type SignKind } from '../../calculations/cycle/cycle-evidence.ts';

/** What each sign of the stroke is, as it is seen or felt; the companion is named where the firing order tells it. */
export const signText = (kind: SignKind, companion: number | null = null): string =>
  ({
    airPushedOut: 'Air is pushed out of number one\u2019s plug hole',
    intakeJustClosed: 'Its inlet valve opened and has just closed',
    bothValvesClosed: 'Both its rockers are slack',
    companionRocking:
      companion === null
        ? 'The companion cylinder\u2019s valves rock at the top'
        : `Cylinder ${companion}\u2019s valves rock at the top`,
    gaugePressure: 'Gauge or whistle shows pressure',
    camMarksAgree: 'The cam marks agree',
    pinInCamGear: 'The timing pin enters the cam gear',
    rotorAtNumberOne: 'The rotor points at number one (undisturbed drive only)'
  })[kind];

/**
 * Of signs that contradict each other the one to repeat: the weakest of those that speak against the others together. Null
 * where none speaks against another.
 */
export function signToRepeat(signs: readonly Sign[]): SignKind | null {
  const weight = (s: Sign) => Math.log(likelihood[s.kind][s.seen ? 0 : 1]);
  const whole = signs.reduce((t, s) => t + weight(s), 0);
  const against = signs.filter((s) => weight(s) * whole < 0);
  if (against.length === 0) return null;
  return against.reduce((a, b) => (Math.abs(weight(b)) < Math.abs(weight(a)) ? b : a)).kind;
}
