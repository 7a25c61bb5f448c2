import { mod } from '../../numerics/angles.ts';
import type { Evidence } from '../../calculations/cycle/cycle-evidence.ts';
import { cycleDegOf, type Engine } from '../../engine/engine.ts';
import type { CrankTold, Reading, Replayed } from '../../job/replayed.ts';
import { holds } from './vocabulary.ts';
import { placeU, type TdcFound, type TdcWork } from './tdc-work.ts';

export interface CrankPlace {
  /** degrees after number one's firing TDC; modulo one turn while the stroke is not known. null: not known at all */
  crankDeg: number | null;
  uDeg: number | null;
  strokeKnown: boolean;
  lastMove: 'forward' | 'backward' | 'unknown';
  from: string;
}

/** Nothing is known of the crank. */
export const NOWHERE: CrankPlace = { crankDeg: null, uDeg: null, strokeKnown: false, lastMove: 'unknown', from: '' };
type Told = { seq: number } & ({ wheel: Reading } | { told: CrankTold } | { signs: true });

/**
 * Where the crank stands, from everything the log says about it in order: readings of the wheel, the dial dragged or
 * a place typed, the signs of the stroke, the reference reached. A wheel reading alone fixes the crank within one
 * turn; the signs say which turn, since they speak of the rise that follows the place where they were taken; from
 * then on the turns are counted.
 */
export function crankPlace(
  engine: Engine,
  /** the run sheet's reference, degrees before TDC */
  reference: number | undefined,
  r: Replayed,
  tdc: TdcWork,
  evidence: Evidence | null,
  /** only what was said up to here: where the crank stood then */
  untilSeq = Infinity
): CrankPlace {
  const cycle = cycleDegOf(engine);
  const decided = evidence !== null && evidence.state !== 'unsure' && r.signsSeq !== null;
  const told: Told[] = [
    ...r.readings.filter((x) => WHEEL_SLOTS.has(x.slot)).map((x) => ({ seq: x.seq, wheel: x })),
    ...r.crank.map((x) => ({ seq: x.seq, told: x })),
    ...(decided ? [{ seq: r.signsSeq!, signs: true as const }] : [])
  ]
    .filter((t) => t.seq <= untilSeq)
    .sort((a, b) => a.seq - b.seq);
  let place = NOWHERE;
  let signsOpen = false;
  for (const t of told) {
    if ('wheel' in t) {
      if (t.wheel.slot === 'turned-on') place = turnedOn(place, t.wheel, cycle);
      else if (tdc.found) place = fromWheel(place, t.wheel, tdc.found, cycle);
    } else if ('told' in t) place = fromTold(place, t.told, reference, cycle, r);
    else signsOpen = true;
    if (cycle === 360 && place.crankDeg !== null) place = { ...place, strokeKnown: true };
    if (signsOpen && place.crankDeg !== null) {
      if (!place.strokeKnown) place = withStroke(place, evidence!.state === 'compression');
      signsOpen = false;
    }
  }
  return place;
}

/** The coming TDC fires if the rise is compression: then the crank stands in the second turn of the cycle. */
function withStroke(place: CrankPlace, compression: boolean): CrankPlace {
  const turn = mod(place.crankDeg!, 360);
  return { ...place, strokeKnown: true, crankDeg: compression ? mod(turn + 360, 720) : turn };
}

const WHEEL_SLOTS = new Set([
  'before',
  'after',
  'top',
  'fit-wheel',
  'stands',
  'stands-back',
  'stands-unsure',
  'turned-on'
]);
/** Slots read while the crank rocks about one TDC. */
const ROCKING = new Set(['before', 'after', 'top', 'fit-wheel']);
/** Reading the same place again may come out a little behind it; that is not a turn of the crank. */
const SAME_PLACE_DEG = 3;

function fromWheel(last: CrankPlace, reading: Reading, tdc: TdcFound, cycle: number): CrankPlace {
  const turn = mod(reading.value - tdc.tdcWheelDeg, 360);
  const uDeg = placeU(reading.gauge, tdc.uDeg);
  const lastMove =
    reading.slot === 'stands-back' ? 'backward' : reading.slot === 'stands-unsure' ? 'unknown' : 'forward';
  if (last.crankDeg === null || !last.strokeKnown)
    return { crankDeg: turn, uDeg, strokeKnown: false, lastMove, from: 'wheel' };
  const ahead = mod(turn - last.crankDeg, 360);
  // pairs rock about one TDC: the nearer way; elsewhere the way the technician says the crank went
  const near = ROCKING.has(reading.slot) || reading.slot === 'stands-unsure';
  const nearest = near ? ahead > 180 : ahead > 360 - SAME_PLACE_DEG;
  const back = reading.slot === 'stands-back' ? ahead > SAME_PLACE_DEG : nearest;
  return {
    crankDeg: mod(last.crankDeg + ahead - (back ? 360 : 0), cycle),
    uDeg,
    strokeKnown: true,
    lastMove,
    from: 'wheel'
  };
}

/** Turned forward by a count that was read: as sure of its place as before, and of the count. */
function turnedOn(last: CrankPlace, reading: Reading, cycle: number): CrankPlace {
  if (last.crankDeg === null) return last;
  const uDeg = Math.hypot(last.uDeg ?? 0, placeU(reading.gauge, 0));
  const crankDeg = mod(last.crankDeg + reading.value, last.strokeKnown ? cycle : 360);
  return { ...last, crankDeg, uDeg, lastMove: 'forward', from: 'count' };
}

function fromTold(last: CrankPlace, e: CrankTold, target: number | undefined, cycle: number, r: Replayed): CrankPlace {
  if (e.crankDeg === null) return { ...NOWHERE, lastMove: e.move };
  const reached = Number.isNaN(e.crankDeg);
  if (reached && target === undefined) return NOWHERE;
  // turning a drawing proves no stroke: what was not known before is known only within one turn
  const known = last.strokeKnown || (reached && holds(r, 'compression-confirmed'));
  const crankDeg = mod(reached ? -target! : e.crankDeg, known ? cycle : 360);
  return { crankDeg, uDeg: null, strokeKnown: known, lastMove: e.move, from: reached ? 'reference' : 'told' };
}
