import type { Settled } from './readings.ts';
import type { Verdict } from '../calculations/verdict/verdict.ts';

/** What to do about a setting as it was read. */
export type Advice =
  /** turn it to its target */
  | 'turn'
  /** leave it and read it again: the doubt can still be narrowed */
  | 'again'
  /** leave it: it stands where it should */
  | 'leave'
  /** leave it: it stands in the middle, and no further reading with this gauge decides */
  | 'limit';

/** A setting with the share of its doubt that further readings narrow. */
export interface Read extends Pick<Settled, 'value' | 'u' | 'n'> {
  /** standard uncertainty by hand and step alone, in the unit of the value */
  uHand: number;
  /** the whole, as one more reading is expected to leave it */
  uMore: number;
}

/** Before so many readings one that is too close to call is read again rather than turned, unless it plainly lies off. */
const FEW = 3;
/** After so many the doubt hardly narrows any more. */
const MANY = 6;
/** A doubt that fills more than this share of the room about a target even at its narrowest is never called in. */
const HOPELESS = 0.95;
/** A doubt that one more reading narrows by less than this share is as narrow as it gets. */
const WORTH = 0.98;

/**
 * Whether a setting is turned, read again or left. Out of its limits it is turned. Too close to call it is turned to the
 * middle where it plainly lies off its target, because a figure in the middle decides with the same doubt that leaves one near
 * a limit open; near its target it is read again while that narrows the doubt. In its limits it is turned only where it lies
 * off by more than the hand's own scatter and more than a quarter of the way to the nearer limit.
 * @param target null: nothing is aimed at, and nothing is turned
 * @example a setting read 9.4° ± 0.9° with limits 7° to 9° and a target of 8° is turned
 */
export function adviseSetting(
  f: Read,
  verdict: Verdict | null,
  { min, max, target }: { min: number | null; max: number | null; target: number | null }
): Advice {
  if (target === null) return verdict?.state === 'unsure' && narrows(f) ? 'again' : 'leave';
  const off = Math.abs(f.value - target);
  if (verdict === null) return off > 2 * f.uHand ? 'turn' : 'leave';
  if (verdict.state === 'out') return 'turn';
  const room = Math.min(max === null ? Infinity : max - target, min === null ? Infinity : target - min);
  if (verdict.state === 'in') return off > Math.max(2 * f.uHand, room / 4) ? 'turn' : 'leave';
  if (off > 2 * f.uHand) return 'turn';
  // as narrow as this gauge gets in many readings it would still reach over the limits: turning it brings nothing
  const least = Math.hypot(
    Math.sqrt(Math.max(0, f.u ** 2 - f.uHand ** 2)),
    (f.uHand * Math.sqrt(f.n)) / Math.sqrt(MANY)
  );
  if (2 * least > HOPELESS * room) return 'limit';
  if (f.n < FEW) return 'again';
  if (off > f.uHand / 2) return 'turn';
  return narrows(f) ? 'again' : 'limit';
}

const narrows = (f: Read): boolean => f.n < MANY && f.uMore < WORTH * f.u;
