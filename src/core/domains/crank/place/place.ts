/** Where the crank stands, as the log tells it, and how that is known. */
export interface CrankPlace {
  /** degrees after number one's firing TDC; modulo one turn while the stroke is not known. null: not known at all */
  crankDeg: number | null;
  uDeg: number | null;
  strokeKnown: boolean;
  lastMove: 'forward' | 'backward' | 'unknown';
  from: PlaceFrom;
  /** the wheel reading that it was last placed by; null where something else placed it */
  reading: string | null;
  /** what that reading leaves open: the wheel shows the same figure twice in a cycle */
  asks: TurnsAsked | null;
  /** the rise that the signs of the stroke spoke of ends at this TDC; null once the crank was read or moved since */
  riseTo: number | null;
}

/** What placed the crank: a reading and how it was understood, or something else that was said. */
export type PlaceFrom =
  /** nothing has placed it */
  | ''
  /** the first reading of the wheel, or one while the stroke was not known */
  | 'wheel'
  /** a reading near the end of the turn that was asked for */
  | 'end'
  /** a reading near the end of an earlier leg of it */
  | 'leg'
  /** a reading where it stood before */
  | 'still'
  /** a reading on the rise that the signs spoke of */
  | 'rise'
  /** a reading of a pair, close to one top */
  | 'rocking'
  /** somebody said what was turned before the reading */
  | 'said'
  /** a count of degrees turned on */
  | 'count'
  /** the timing pin */
  | 'pin'
  | 'reference'
  | 'told';

/** A way the crank may have gone before a reading, and where it then stands. */
export interface Travel {
  /** signed, in the running direction above 0 */
  travelDeg: number;
  crankDeg: number;
}

/** The question that a reading raises: how far was it turned, and which way? */
export interface TurnsAsked {
  /** the reading before which it was turned */
  reading: string;
  /** where it stood before */
  fromDeg: number;
  ways: Travel[];
}

/** Nothing is known of the crank. */
export const NOWHERE: CrankPlace = {
  crankDeg: null,
  uDeg: null,
  strokeKnown: false,
  lastMove: 'unknown',
  from: '',
  reading: null,
  asks: null,
  riseTo: null
};
