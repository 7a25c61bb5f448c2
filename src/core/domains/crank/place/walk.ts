import { cycleEvidence, type Evidence, type Sign, type SignKind } from '../../../calculations/cycle/cycle-evidence.ts';
import { slackTaken } from '../../../calculations/crank/crank-plan.ts';
import { cycleDegOf, type Engine } from '../../../engine/engine.ts';
import { isOf, type RunSheet, type Step } from '../../../job/run-sheet.ts';
import type { CrankTold, Reading, Replayed } from '../../../job/replayed.ts';
import { mod, wrap180 } from '../../../numerics/angles.ts';
import { placeU, type TdcWork } from '../tdc-work.ts';
import { holds } from '../vocabulary.ts';
import { goalDegOf } from './goal.ts';
import { NOWHERE, type CrankPlace, type Travel } from './place.ts';
import { pinU, turningOf } from './turning.ts';
import { understandTurn, waysTo, type Turning } from './turns.ts';

/** Everything that the crank's place is worked out from. */
export interface Walked {
  sheet: RunSheet;
  engine: Engine;
  r: Replayed;
  tdc: TdcWork;
  approach: 'forward' | 'backUp';
}

/** Where the crank stands, and what the signs of the stroke that count say. */
export interface Walk {
  place: CrankPlace;
  signs: Sign[];
  evidence: Evidence | null;
  /** signs were given, and the crank was turned since without a count: they no longer say where it is */
  signsStale: boolean;
  /** how far the crank was last turned back, where what followed forward does not outweigh it; null: not turned back, or not known how far */
  turnedBackDeg: number | null;
}

type Told = { seq: number } & ({ wheel: Reading } | { told: CrankTold } | { sign: SignKind; seen: boolean | null });

/** Readings that place the crank. */
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
/** Standing this near before a TDC there is no rise left to feel: the signs then speak of the next one. */
const RISE_LEFT_DEG = 75;
/** Said to be at the reference, and read this near to it: the reading stands. */
const AT_IT_DEG = 3;

/**
 * Where the crank stands, from everything the log says about it in order: readings of the wheel, the dial dragged or a place
 * typed, the signs of the stroke, the timing pin, the reference reached. A wheel reading alone fixes the crank within one
 * turn; the signs say which turn. From then on the turns are counted by the plans that were shown (turns.ts). Where a
 * reading does not tell how far it was turned, the stroke is open until somebody says it or new signs are given.
 */
export function walkCrank(w: Walked, untilSeq = Infinity): Walk {
  const turning = turningOf(w.engine, w.r, w.approach);
  const steps = new Map(w.sheet.steps.map((s) => [s.id, s]));
  const signs = new Map<SignKind, boolean>();
  const went = new Map(w.r.went.map((e) => [e.reading, e.travelDeg]));
  let [place, signsStale, signsOpen] = [NOWHERE, false, false];
  const lose = (): void => {
    signsStale ||= signs.size > 0;
    signs.clear();
    signsOpen = false;
  };
  let turnedBackDeg: number | null = null;
  for (const t of toldBy(w.r, untilSeq)) {
    const before = place;
    if ('sign' in t) {
      signsStale = false;
      if (t.seen === null) signs.delete(t.sign);
      else signs.set(t.sign, t.seen);
      signsOpen = true;
    } else if ('told' in t) {
      if (t.told.crankDeg === null) lose();
      place = fromTold(place, t.told, w);
    } else if (t.wheel.slot === 'turned-on') place = turnedOn(place, t.wheel, turning.cycleDeg);
    else if (w.tdc.found) {
      place = fromWheel(place, t.wheel, steps.get(t.wheel.step), w, turning, went);
      if (place.asks) lose();
    }
    turnedBackDeg = relied(turnedBackDeg, before, place);
    if (turning.cycleDeg === 360 && place.crankDeg !== null) place = { ...place, strokeKnown: true };
    if (signsOpen && place.crankDeg !== null) {
      const evidence = evidenceOf(signs);
      if (evidence && evidence.state !== 'unsure' && !place.strokeKnown)
        place = withStroke(place, evidence.state === 'compression');
    }
    // the signs speak of the rise after the place where they were given; once the crank was read again they are used up
    if (!('sign' in t)) signsOpen = signsOpen && !place.strokeKnown && place.crankDeg === null;
  }
  return {
    place,
    signs: [...signs].map(([kind, seen]) => ({ kind, seen })),
    evidence: evidenceOf(signs),
    signsStale,
    turnedBackDeg
  };
}

/** The turn back that a place relies on: how far it went, until the crank was turned on by as much as any slack may be. */
function relied(known: number | null, before: CrankPlace, now: CrankPlace): number | null {
  if (before === now) return known;
  if (before.crankDeg === null || now.crankDeg === null || now.from === 'rocking' || now.from === 'pin') return null;
  const moved = wrap180(now.crankDeg - before.crankDeg);
  if (now.lastMove === 'backward') return moved < 0 ? -moved : null;
  return known !== null && Math.abs(moved) < slackTaken(null) - AT_IT_DEG ? known : null;
}

const evidenceOf = (signs: ReadonlyMap<SignKind, boolean>): Evidence | null =>
  signs.size === 0 ? null : cycleEvidence({ evidence: [...signs].map(([kind, seen]) => ({ kind, seen })), prior: 0.5 });

function toldBy(r: Replayed, untilSeq: number): Told[] {
  const told: Told[] = [
    ...r.readings.filter((x) => WHEEL_SLOTS.has(x.slot)).map((x) => ({ seq: x.seq, wheel: x })),
    ...r.crank.map((x) => ({ seq: x.seq, told: x })),
    ...r.signLog.map((x) => ({ seq: x.seq, sign: x.sign, seen: x.seen }))
  ];
  return told.filter((t) => t.seq <= untilSeq).sort((a, b) => a.seq - b.seq);
}

/**
 * The rise that the signs speak of ends at the next TDC, or where that is too near to be felt, at the one after it. It
 * fires if the rise is compression.
 */
function withStroke(place: CrankPlace, compression: boolean): CrankPlace {
  const turn = mod(place.crankDeg!, 360);
  const far = turn > 360 - RISE_LEFT_DEG;
  const comingFires = compression !== far;
  const crankDeg = comingFires ? turn + 360 : turn;
  return { ...place, strokeKnown: true, crankDeg, asks: null, riseTo: mod(crankDeg - turn + (far ? 720 : 360), 720) };
}

function fromWheel(
  last: CrankPlace,
  reading: Reading,
  step: Step | undefined,
  w: Walked,
  turning: Turning,
  went: ReadonlyMap<string, number | null>
): CrankPlace {
  const { cycleDeg } = turning;
  const turn = mod(reading.value - w.tdc.found!.tdcWheelDeg, 360);
  const move =
    isOf('stands', reading.slot, ['back']) && reading.slot !== 'stands'
      ? 'backward'
      : reading.slot === 'stands-unsure'
        ? 'unknown'
        : 'forward';
  const read = { uDeg: placeU(reading.gauge, w.tdc.found!.uDeg), reading: reading.id, asks: null, riseTo: null };
  const said = went.get(reading.id);
  if (last.crankDeg === null || !last.strokeKnown || said === null)
    return { ...read, crankDeg: turn, strokeKnown: false, lastMove: move, from: 'wheel' };
  const known = { ...read, strokeKnown: true };
  const from = { ...last, crankDeg: last.crankDeg };
  if (said !== undefined) {
    const way = nearestWay(waysTo(from.crankDeg, turn, { ...turning, mayReverse: true }), said);
    return { ...known, crankDeg: way.crankDeg, lastMove: way.travelDeg < 0 ? 'backward' : move, from: 'said' };
  }
  if (step?.acts.includes('pins-crank') && w.r.chosen.get('pin-goes-in') === 'cam')
    return { ...known, crankDeg: mod(wrap180(turn), cycleDeg), lastMove: move, from: 'pin' };
  if (ROCKING.has(reading.slot)) {
    // against a positive stop the second flank is come at from the other side, back round nearly a turn
    const back = w.tdc.method === 'stop' && reading.slot === 'after';
    const on = mod(turn - from.crankDeg, 360);
    const travel = back ? on - 360 : wrap180(on);
    return {
      ...known,
      crankDeg: mod(from.crankDeg + travel, cycleDeg),
      lastMove: back ? 'backward' : move,
      from: 'rocking'
    };
  }
  const goalDeg = step ? goalDegOf(w.sheet, w.engine, w.r, step, reading.seq) : null;
  const oncePerCycle = step?.acts.includes('accepts-lift') ?? false;
  const answer = understandTurn(from, turn, { move, goalDeg, turnsOn: step?.turnsOn ?? 0, oncePerCycle }, turning);
  if ('place' in answer) return { ...known, ...answer.place };
  return {
    ...read,
    crankDeg: turn,
    strokeKnown: false,
    lastMove: move,
    from: 'wheel',
    asks: { reading: reading.id, fromDeg: from.crankDeg, ways: answer.ways }
  };
}

const nearestWay = (ways: Travel[], saidDeg: number): Travel =>
  ways.reduce((a, b) => (Math.abs(b.travelDeg - saidDeg) < Math.abs(a.travelDeg - saidDeg) ? b : a));

/** Turned forward by a count that was read: as sure of its place as before, and of the count. */
function turnedOn(last: CrankPlace, reading: Reading, cycleDeg: number): CrankPlace {
  if (last.crankDeg === null) return last;
  const uDeg = Math.hypot(last.uDeg ?? 0, placeU(reading.gauge, 0));
  const crankDeg = mod(last.crankDeg + reading.value, last.strokeKnown ? cycleDeg : 360);
  return { ...last, crankDeg, uDeg, lastMove: 'forward', from: 'count', riseTo: null };
}

function fromTold(last: CrankPlace, e: CrankTold, w: Walked): CrankPlace {
  if (e.crankDeg === null) return { ...NOWHERE, lastMove: e.move };
  if (e.pin) return fromPin(last, e, w);
  const reached = Number.isNaN(e.crankDeg);
  const target = reached ? goalDegOf(w.sheet, w.engine, w.r, { surface: 'plan' }, e.seq) : e.crankDeg;
  if (target === null) return NOWHERE;
  // a reading beats what was said: read near the reference, it stands where it was read
  if (reached && last.crankDeg !== null && Math.abs(wrap180(last.crankDeg - target)) <= AT_IT_DEG)
    return { ...last, lastMove: e.move, riseTo: null };
  // turning a drawing proves no stroke: what was not known before is known only within one turn
  const known = last.strokeKnown || (reached && last.asks === null && holds(w.r, 'compression-confirmed'));
  return {
    ...NOWHERE,
    crankDeg: mod(target, known ? cycleDegOf(w.engine) : 360),
    strokeKnown: known,
    lastMove: e.move,
    from: reached ? 'reference' : 'told'
  };
}

/**
 * The timing pin is in. Through the cam gear it enters at the firing TDC alone; in the crank or flywheel it enters at both, and
 * which of them it is follows from where the crank stood.
 */
function fromPin(last: CrankPlace, e: CrankTold, { engine, r }: Walked): CrankPlace {
  const pinned = {
    ...last,
    uDeg: pinU(engine) ?? last.uDeg,
    lastMove: last.crankDeg === null ? e.move : last.lastMove,
    from: 'pin' as const,
    riseTo: null
  };
  if (r.chosen.get('pin-goes-in') === 'cam' || cycleDegOf(engine) === 360)
    return { ...pinned, crankDeg: 0, strokeKnown: true, asks: null };
  if (last.crankDeg === null || !last.strokeKnown) return { ...pinned, crankDeg: 0, strokeKnown: false };
  return { ...pinned, crankDeg: mod(Math.round(last.crankDeg / 360) * 360, 720) };
}
