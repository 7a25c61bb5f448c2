import { verdict, type Verdict } from '../../calculations/verdict/verdict.ts';
import type { Engine } from '../../engine/engine.ts';
import type { Replayed } from '../../job/replayed.ts';
import { wrap180 } from '../../numerics/angles.ts';
import { isOf } from '../../job/run-sheet.ts';
import type { CrankPlace } from '../crank/place/place.ts';
import { numberOf } from './vocabulary.ts';

/** A lock or a pin tried again at its own place: where the crank stood when it entered. */
export interface ProofWork {
  what: 'lock' | 'pin';
  /** where it must enter, degrees before TDC */
  wantBtdc: number | null;
  entered: { btdc: number; uDeg: number } | null;
  /** found less wanted; above 0 it entered early */
  offDeg: number | null;
  /** what it may differ by, ±, and from where; null: the data sheet does not say */
  within: number | null;
  verdict: Verdict | null;
}

export function proofWork(
  engine: Engine,
  r: Replayed,
  step: string,
  what: ProofWork['what'],
  reference: number | undefined,
  placeAt: (seq: number) => CrankPlace
): ProofWork {
  const wantBtdc = what === 'pin' ? 0 : (reference ?? null);
  const last = r.readings.findLast((x) => x.step === step && isOf('stands', x.slot));
  const at = last ? placeAt(last.seq) : null;
  const entered = at?.crankDeg == null ? null : { btdc: -wrap180(at.crankDeg), uDeg: at.uDeg ?? 0 };
  const within = numberOf(engine, what === 'pin' ? 'pinWithinDeg' : 'proofWithinDeg') ?? null;
  const offDeg = entered && wantBtdc !== null ? wrap180(entered.btdc - wantBtdc) : null;
  return {
    what,
    wantBtdc,
    entered,
    offDeg,
    within,
    verdict: offDeg === null || within === null ? null : verdict(offDeg, entered!.uDeg, -within, within)
  };
}

/**
 * Lock and pin tried after one another: which of them to believe where one of them is off. Both off alike speak of the zero
 * of the wheel, the lock alone of a gear that slipped, the pin alone of the pin's own clearance or a wrong hole.
 */
export function whichToBelieve(lock: ProofWork | undefined, pin: ProofWork | undefined): string | null {
  if (lock?.offDeg == null || pin?.offDeg == null) return null;
  const out = (p: ProofWork) => p.verdict !== null && p.verdict.state !== 'in';
  if (!out(lock) && !out(pin)) return null;
  const u = 2 * Math.hypot(lock.entered!.uDeg, pin.entered!.uDeg);
  if (Math.abs(lock.offDeg - pin.offDeg) <= u)
    return 'Lock and pin are off alike: believe both, and not the wheel. Its zero or its pointer moved; prove TDC again, then try both.';
  if (out(lock) && !out(pin))
    return 'The pin agrees, so the wheel is right: believe it. The gear slipped on its taper; loosen, clean and set it anew.';
  return out(pin) && !out(lock)
    ? 'The lock agrees, the pin does not: look at the pin first, its hole and its clearance; then prove TDC by two sides before anything is loosened.'
    : 'Lock and pin disagree with the wheel and with each other: believe none of them. Prove TDC by two sides and begin the proof again.';
}
