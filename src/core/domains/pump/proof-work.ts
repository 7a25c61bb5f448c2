import { verdict, type Verdict } from '../../calculations/verdict/verdict.ts';
import type { Engine } from '../../engine/engine.ts';
import { repeatedU } from '../../calculations/gauge/hand.ts';
import { gaugeOfAll } from '../../job/readings.ts';
import type { Reading, Replayed } from '../../job/replayed.ts';
import { mean, sampleSd } from '../../numerics/statistics.ts';
import { wrap180 } from '../../numerics/angles.ts';
import { isOf } from '../../job/run-sheet.ts';
import type { CrankPlace } from '../crank/place/place.ts';
import { numberOf } from './vocabulary.ts';

/** A lock or a pin tried again at its own place: where the crank stood when it entered. */
export interface ProofWork {
  what: 'lock' | 'pin';
  /** where it must enter, degrees before TDC */
  wantBtdc: number | null;
  entered: { btdc: number; uDeg: number; tries: number; strokeKnown: boolean } | null;
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
  placeAt: (seq: number) => CrankPlace,
  uTdc: number
): ProofWork {
  const wantBtdc = what === 'pin' ? 0 : (reference ?? null);
  const since = r.turnedSeq.get('pump-gear') ?? 0;
  const tries = r.readings.filter((x) => x.step === step && x.seq > since && isOf('stands', x.slot));
  const entered = enteredAt(tries, placeAt, uTdc);
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

/** The mean of the tries since the gear was last touched; the hand scatters from one to the next, true TDC is in all alike. */
function enteredAt(
  tries: readonly Reading[],
  placeAt: (seq: number) => CrankPlace,
  uTdc: number
): ProofWork['entered'] {
  const at = tries.flatMap((x) => {
    const place = placeAt(x.seq);
    return place.crankDeg === null ? [] : [{ btdc: -wrap180(place.crankDeg), known: place.strokeKnown }];
  });
  if (at.length === 0) return null;
  const first = at[0]!.btdc;
  const values = at.map((x) => first + wrap180(x.btdc - first));
  const { u } = repeatedU(sampleSd(values), values.length, gaugeOfAll(tries));
  return {
    btdc: wrap180(mean(values)),
    uDeg: Math.hypot(u, uTdc),
    tries: at.length,
    strokeKnown: at[at.length - 1]!.known
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
