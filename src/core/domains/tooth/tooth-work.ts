import { wrap180, wrap360 } from '../../numerics/angles.ts';
import type { CalcError } from '../../errors/result.ts';
import { driveEngage } from '../../calculations/drive/drive-engage.ts';
import { driveIndex, type DriveIndex, type IndexCandidate } from '../../calculations/drive/drive-index.ts';
import { driveOrient } from '../../calculations/drive/drive-orient.ts';
import { driveStab } from '../../calculations/drive/drive-stab.ts';
import { cycleDegOf, numberOf as anyNumberOf, type Engine } from '../../engine/engine.ts';
import type { CrankPlace } from '../crank/place/place.ts';
import type { Reading, Replayed } from '../../job/replayed.ts';
import { choiceOf, lastOf, listOf, numberOf, settledOf } from './vocabulary.ts';

export const SYMMETRY: Record<string, number> = { blade: 180, 'offset-blade': 360, hexagon: 60 };

export interface Arc {
  minBearingDeg: number;
  maxBearingDeg: number;
}

export interface ToothWork {
  rotor: 'cw' | 'ccw' | null;
  /** null: the data sheet does not say how fast the rotor runs, and nothing is carried with the crank */
  ratio: number | null;
  teeth: number | null;
  /** rotor as it was seen, and where the crank stood then */
  observed: { bearingDeg: number; crankDeg: number; reading: Reading } | null;
  targetCrankDeg: number | null;
  arc: Arc | null;
  anyTower: boolean;
  terminalOffsetDeg: number | null;
  preferredBearingDeg: number | null;
  index: DriveIndex | null;
  /** places free to the housing on the tooth the drive has now, with any tower as number one; best first */
  ownTooth: IndexCandidate[] | null;
  error: CalcError | null;
  /** bearings that the plan is for: the best tooth, or number one's tower where no arc was read */
  rotorTargetDeg: number | null;
  twistDeg: number | null;
  twistFrom: 'seen' | 'helix' | null;
  stab: ReturnType<typeof driveStab> | null;
  hand: 'right' | 'left' | null;
  symmetryDeg: number | null;
  tang: Reading | null;
  slot: Reading | null;
  engage: ReturnType<typeof driveEngage> | null;
  orient: ReturnType<typeof driveOrient> | null;
  /** cylinders in firing order, which is how the towers stand in the rotor\u2019s sense and how the drawing numbers them */
  order: readonly number[];
  /** what is still to be read or entered before a tooth can be worked out, in words */
  lacks: string[];
}

/** The same with another free arc: while it is being dragged, and before it is logged. */
export function withArc(engine: Engine, t: ToothWork, arc: Arc): ToothWork {
  const answer = indexFor(engine, { ...t, arc });
  const index = answer?.ok ? answer.out : null;
  return { ...t, arc, index, error: answer && !answer.ok ? answer.error : null };
}

function indexFor(
  engine: Engine,
  t: Pick<
    ToothWork,
    | 'rotor'
    | 'ratio'
    | 'teeth'
    | 'observed'
    | 'targetCrankDeg'
    | 'arc'
    | 'anyTower'
    | 'terminalOffsetDeg'
    | 'preferredBearingDeg'
  >
): ReturnType<typeof driveIndex> | null {
  const count = listOf(engine, 'firingOrder')?.length;
  const { rotor, ratio, teeth, observed, targetCrankDeg, arc, anyTower, terminalOffsetDeg, preferredBearingDeg } = t;
  if (
    !rotor ||
    ratio === null ||
    teeth === null ||
    !observed ||
    targetCrankDeg === null ||
    !arc ||
    terminalOffsetDeg === null ||
    !count
  )
    return null;
  return driveIndex({
    rotorDirection: rotor,
    ratio,
    gearTeeth: teeth,
    observed: { rotorBearingDeg: observed.bearingDeg, crankDeg: observed.crankDeg },
    targetCrankDeg,
    terminals: { count, firstOffsetDeg: terminalOffsetDeg, anyAsNumberOne: anyTower },
    housing: { ...arc, ...(preferredBearingDeg === null ? {} : { preferredBearingDeg }) }
  });
}

export type PlaceAt = (seq: number) => CrankPlace;

/**
 * Which tooth, where to point the rotor, and when the oil-pump drive falls in, from the readings so far. `placeAt` tells
 * where the crank stood when a reading was taken: the rotor's bearing means nothing without it.
 */
export function toothWork(
  engine: Engine,
  /** the value of the data sheet that the crank is brought to */
  reference: string | undefined,
  r: Replayed,
  placeAt: PlaceAt
): ToothWork {
  const { readings } = r;
  const rotor = senseOf(engine);
  const ratio = numberOf(engine, 'ratio') ?? null;
  const teeth = numberOf(engine, 'gearTeeth') ?? null;
  const target = reference === undefined ? undefined : anyNumberOf(engine, reference);
  const targetCrankDeg = target === undefined ? null : -target;
  const seen = lastOf(readings, 'rotor-seen') ?? lastOf(readings, 'rotor-mark') ?? lastOf(readings, 'rotor');
  const place = seen ? placeAt(seen.seq) : null;
  const observed =
    seen && place && place.crankDeg !== null && place.strokeKnown
      ? { bearingDeg: seen.value, crankDeg: place.crankDeg, reading: seen }
      : null;
  const given = arcOf(readings);
  const offset = numberOf(engine, 'terminalOffsetDeg') ?? null;
  const anyTower = (r.chosen.get('number-one') ?? choiceOf(engine, 'numberOneTower')) === 'any';
  const preferred = numberOf(engine, 'housingBearingDeg') ?? null;
  const lacks = [
    ...(seen ? [] : ['the rotor\u2019s bearing with the gear in any tooth']),
    ...(seen && !observed ? ['where the crank stood when the rotor was read, and on which stroke'] : []),
    ...(given ? [] : ['the free arc of the housing']),
    ...(offset === null ? ['number one\u2019s terminal from the housing\u2019s datum'] : []),
    ...(teeth === null ? ['the teeth of the drive gear'] : []),
    ...(ratio === null ? ['the turns of the rotor for one of the crank'] : [])
  ];
  const found = {
    rotor,
    ratio,
    teeth,
    observed,
    targetCrankDeg,
    arc: given,
    anyTower,
    terminalOffsetDeg: offset,
    preferredBearingDeg: preferred
  };
  const answer = indexFor(engine, found);
  const index = answer?.ok ? answer.out : null;
  const witness = lastOf(readings, 'rotor-mark')?.value ?? null;
  // with a gear of one tooth only the place it has is tried
  const own = index ? indexFor(engine, { ...found, teeth: 1, anyTower: true }) : null;
  const rotorTargetDeg = index?.best?.rotorBearingDeg ?? lastOf(readings, 'tower')?.value ?? witness;
  const { twistDeg, twistFrom } = twistOf(engine, readings);
  const hand = (choiceOf(engine, 'gearHand') as 'right' | 'left' | undefined) ?? null;
  const tang = lastOf(readings, 'tang');
  const slot = lastOf(readings, 'pump-slot');
  const symmetryDeg = SYMMETRY[choiceOf(engine, 'pumpDrive') ?? ''] ?? null;
  return {
    ...found,
    index,
    ownTooth: own?.ok ? own.out.candidates : null,
    error: answer && !answer.ok ? answer.error : null,
    rotorTargetDeg,
    twistDeg,
    twistFrom,
    stab:
      rotorTargetDeg !== null && hand && twistDeg !== null
        ? driveStab({ gearHand: hand, targetBearingDeg: rotorTargetDeg, twistDeg })
        : null,
    hand,
    symmetryDeg,
    tang,
    slot,
    engage: engageOf(engine, rotor, ratio, symmetryDeg, tang, slot, targetCrankDeg, placeAt),
    orient: orientOf(engine, readings, rotor, ratio, teeth, targetCrankDeg, placeAt),
    order: listOf(engine, 'firingOrder') ?? [],
    lacks
  };
}

const senseOf = (engine: Engine): 'cw' | 'ccw' | null => {
  const s = choiceOf(engine, 'rotorDirection');
  return s === 'cw' || s === 'ccw' ? s : null;
};

function arcOf(readings: readonly Reading[]): Arc | null {
  const min = lastOf(readings, 'arc-min');
  const max = lastOf(readings, 'arc-max');
  return min && max ? { minBearingDeg: min.value, maxBearingDeg: max.value } : null;
}

/** The rotor's turn while the gear goes down: as it was seen on lifting out, else from the helix over the travel read. */
function twistOf(engine: Engine, readings: readonly Reading[]): Pick<ToothWork, 'twistDeg' | 'twistFrom'> {
  const seen = settledOf(readings, 'twist');
  if (seen) return { twistDeg: seen.value, twistFrom: 'seen' };
  const travel = settledOf(readings, 'travel');
  const helixAngleDeg = numberOf(engine, 'helixDeg');
  const pitchDiameterMm = numberOf(engine, 'gearPitchMm');
  if (!travel || helixAngleDeg === undefined || pitchDiameterMm === undefined)
    return { twistDeg: null, twistFrom: null };
  const stab = driveStab({
    gearHand: 'right',
    targetBearingDeg: 0,
    helix: { helixAngleDeg, pitchDiameterMm, travelMm: Math.max(0, travel.value) }
  });
  return { twistDeg: stab.twistDeg, twistFrom: 'helix' };
}

function engageOf(
  engine: Engine,
  rotor: 'cw' | 'ccw' | null,
  ratio: number | null,
  symmetryDeg: number | null,
  tang: Reading | null,
  slot: Reading | null,
  target: number | null,
  placeAt: PlaceAt
): ToothWork['engage'] {
  if (!rotor || ratio === null || !tang || !slot || symmetryDeg === null || target === null) return null;
  const place = placeAt(tang.seq);
  return driveEngage({
    rotorDirection: rotor,
    ratio,
    cycleDeg: cycleDegOf(engine),
    // the drive is tried at the reference; elsewhere the way back to it is counted from where the crank stood
    currentCrankDeg: place.crankDeg !== null && place.strokeKnown ? place.crankDeg : target,
    targetCrankDeg: target,
    tangBearingDeg: tang.value,
    slotBearingDeg: slot.value,
    symmetryDeg
  });
}

function orientOf(
  engine: Engine,
  readings: readonly Reading[],
  rotor: 'cw' | 'ccw' | null,
  ratio: number | null,
  teeth: number | null,
  target: number | null,
  placeAt: PlaceAt
): ToothWork['orient'] {
  const seen = lastOf(readings, 'drive-slot');
  const wantedBearingDeg = numberOf(engine, 'driveSlotBearingDeg');
  if (!seen || wantedBearingDeg === undefined || !rotor || ratio === null || teeth === null) return null;
  const place = placeAt(seen.seq);
  // on an open engine the drive is laid in with number one at its top, and no stroke is known before the cam is in
  const crankDeg = place.crankDeg ?? target ?? 0;
  return driveOrient({
    rotorDirection: rotor,
    ratio,
    gearTeeth: teeth,
    observed: { bearingDeg: seen.value, crankDeg },
    targetCrankDeg: place.crankDeg === null ? crankDeg : (target ?? 0),
    wantedBearingDeg,
    // an offset slot looks the same only once a turn
    symmetryDeg: 360,
    tieDeg: 0.5
  });
}

/** Crank degrees as they are said: `76.5° of the crank`. */
const crank = (d: number): string => `${d.toFixed(1)}°`;

/** What a tooth and tower would mean, in words, against the best: why not that one. */
export function rivalText(c: IndexCandidate, best: IndexCandidate, order: readonly number[]): string {
  const steps = c.toothStep - best.toothStep;
  const where =
    steps === 0
      ? 'The same tooth'
      : `${Math.abs(steps) === 1 ? 'One tooth' : `${Math.abs(steps)} teeth`} ${steps > 0 ? 'clockwise' : 'anticlockwise'}`;
  const tower =
    c.terminal === best.terminal ? '' : `, number one on the tower that is number ${order[c.terminal]}\u2019s now`;
  const short = c.advanceRoomDeg <= c.retardRoomDeg ? 'advance' : 'retard';
  const room = Math.min(c.advanceRoomDeg, c.retardRoomDeg);
  return `${where}${tower}: ${short} room ${room < 15 ? 'only ' : ''}${crank(room)}.`;
}

/** The finding of the tooth step: what to do, or what is in the way. */
export function toothFinding(t: ToothWork): string | null {
  if (t.error) return t.error.message;
  if (!t.index) return null;
  const { best, nearest, feasibleCount } = t.index;
  if (best) {
    const out = t.observed?.reading.slot === 'rotor-mark';
    const turn =
      best.toothStep === 0
        ? out
          ? 'Let it down where the old one stood'
          : 'Leave it on this tooth'
        : `${out ? 'Let it down' : 'Lift and move'} ${Math.abs(best.toothStep) === 1 ? 'one tooth' : `${Math.abs(best.toothStep)} teeth`} ${best.toothStep > 0 ? 'clockwise' : 'anticlockwise'}${out ? ' of the old place' : ''}`;
    const tower =
      best.terminal === 0 ? '' : `, call the tower that is number ${t.order[best.terminal]}\u2019s now number one`;
    return `${turn}${tower}: rotor at ${best.rotorBearingDeg.toFixed(0)}°, ${crank(best.advanceRoomDeg)} of the crank to advance, ${crank(best.retardRoomDeg)} to retard${feasibleCount === 1 ? '. No other tooth fits' : ''}`;
  }
  return nearest
    ? `No tooth lets the housing stand free: the nearest misses by ${nearest.outsideDeg.toFixed(1)}° of the housing`
    : null;
}

/** Rotor error after letting down: within half a tooth of the plan, or how many teeth off. */
export function landed(t: ToothWork, seenBearing: number): { offDeg: number; teeth: number; within: boolean } | null {
  if (t.rotorTargetDeg === null || t.teeth === null) return null;
  const offDeg = wrap180(wrap360(seenBearing) - t.rotorTargetDeg);
  const pitch = 360 / t.teeth;
  return { offDeg, teeth: Math.round(offDeg / pitch), within: Math.abs(offDeg) <= pitch / 2 + 1e-9 };
}
