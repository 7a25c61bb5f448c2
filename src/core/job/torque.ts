import { verdict } from '../calculations/verdict/verdict.ts';
import { oneReading } from './readings.ts';
import type { Reading } from './replayed.ts';
import { plusMinus } from './texts.ts';

/** A torque read with a wrench against what the data sheet asks, N·m; u is one standard uncertainty. */
export interface Torque {
  nm: number;
  u: number;
  wantedNm: number;
  /** what it may be off by, ±; null: the data sheet gives no tolerance, and the wrench's own doubt is all that it may be off by */
  withinNm: number | null;
  /** `unnamed`: nobody said with which wrench, so that nothing is known of its doubt and nothing is judged */
  state: 'reached' | 'short' | 'over' | 'unsure' | 'unnamed';
}

export function torqueOf(read: Reading, wantedNm: number, withinNm: number | null = null): Torque {
  const { value: nm, u, scatterUnknown } = oneReading(read);
  return { nm, u, wantedNm, withinNm, state: scatterUnknown ? 'unnamed' : judged(nm, u, wantedNm, withinNm) };
}

function judged(nm: number, u: number, wantedNm: number, withinNm: number | null): Torque['state'] {
  const off = nm < wantedNm ? 'short' : 'over';
  if (withinNm === null) return Math.abs(nm - wantedNm) > 2 * u + 1e-9 ? off : 'reached';
  const { state } = verdict(nm, u, wantedNm - withinNm, wantedNm + withinNm, false);
  return state === 'out' ? off : state === 'unsure' ? 'unsure' : 'reached';
}

/** What was read against what was asked, in words; `what` is the torque's name, as `first torque`. */
export function torqueText(t: Torque, what: string): string {
  if (t.state === 'unnamed')
    return `${t.nm} N\u00b7m read for the ${what} of ${t.wantedNm} N\u00b7m: name the wrench, without it nothing is judged`;
  const asked =
    t.withinNm === null
      ? `${t.wantedNm} N\u00b7m asked, within that \u00b1`
      : `${t.wantedNm} \u00b1 ${t.withinNm} N\u00b7m asked`;
  const is = {
    reached: `reaches the ${what}`,
    short: `is short of the ${what}`,
    over: `is above the ${what}`,
    unsure: `is too close to call for the ${what}`
  }[t.state];
  return `${t.nm} ${plusMinus(t.u, 1)} N\u00b7m ${is}, ${asked}`;
}

/** What it leaves open; null when it is reached. */
export function torqueLeft(t: Torque, what: string): string | null {
  return {
    reached: null,
    short: `the ${what} is not reached`,
    over: `the ${what} is passed`,
    unsure: `the ${what} is too close to call`,
    unnamed: `the ${what} was read with a wrench that nobody named`
  }[t.state];
}
