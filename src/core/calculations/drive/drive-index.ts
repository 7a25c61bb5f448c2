import type { z } from 'zod';
import { EPS, mod, wrap180, wrap360 } from '../../numerics/angles.ts';
import { fail } from '../../errors/catalogue.ts';
import { ok, type Result } from '../../errors/result.ts';
import type { driveIndexInput } from './schemas.ts';

export interface IndexCandidate {
  toothStep: number;
  terminal: number;
  rotorBearingDeg: number;
  housingBearingDeg: number;
  advanceRoomDeg: number;
  retardRoomDeg: number;
  score: number;
}
export interface NearestMiss {
  toothStep: number;
  terminal: number;
  rotorBearingDeg: number;
  housingBearingDeg: number;
  outsideDeg: number;
}
export interface DriveIndex {
  best: IndexCandidate | null;
  candidates: IndexCandidate[];
  feasibleCount: number;
  nearest: NearestMiss | null;
}
type Input = z.infer<typeof driveIndexInput>;

/**
 * Which tooth to drop in on, and which terminal to call number one, so that the housing can stand where nothing
 * blocks it with the most room to adjust both ways. Every tooth and terminal is tried; room is in crank degrees, and
 * advancing turns the housing against the rotor. toothStep counts clockwise from where the rotor was observed.
 * Error `arc-empty` when the housing's free arc has no length. Ties: nearer the preferred bearing, fewer teeth, plus before minus.
 */
export function driveIndex(i: Input): Result<DriveIndex> {
  const arc = mod(i.housing.maxBearingDeg - i.housing.minBearingDeg, 360);
  if (arc === 0) return fail('arc-empty', 'housing', {});
  const s = i.rotorDirection === 'cw' ? 1 : -1;
  const carried = i.observed.rotorBearingDeg + s * i.ratio * (i.targetCrankDeg - i.observed.crankDeg);
  const terminals = i.terminals.anyAsNumberOne ? i.terminals.count : 1;
  const feasible: IndexCandidate[] = [];
  const misses: NearestMiss[] = [];
  for (let k = -Math.floor((i.gearTeeth - 1) / 2); k <= Math.floor(i.gearTeeth / 2); k++)
    for (let j = 0; j < terminals; j++) {
      const rotorBearingDeg = wrap360(carried + (k * 360) / i.gearTeeth);
      const housingBearingDeg = wrap360(
        rotorBearingDeg - i.terminals.firstOffsetDeg - (s * j * 360) / i.terminals.count
      );
      const p = mod(housingBearingDeg - i.housing.minBearingDeg, 360);
      const place = { toothStep: k === 0 ? 0 : k, terminal: j, rotorBearingDeg, housingBearingDeg };
      if (p <= arc + EPS) feasible.push(withRoom(place, Math.min(p, arc), arc, s, i.ratio));
      else misses.push({ ...place, outsideDeg: Math.min(p - arc, 360 - p) });
    }
  const preferred = i.housing.preferredBearingDeg;
  feasible.sort((a, b) => compare(b.score, a.score) || ties(a, b, preferred));
  misses.sort((a, b) => compare(a.outsideDeg, b.outsideDeg) || ties(a, b, preferred));
  return ok({
    best: feasible[0] ?? null,
    candidates: feasible.slice(0, 10),
    feasibleCount: feasible.length,
    nearest: feasible.length > 0 ? null : (misses[0] ?? null)
  });
}

function withRoom(
  place: Omit<NearestMiss, 'outsideDeg'>,
  p: number,
  arc: number,
  s: number,
  ratio: number
): IndexCandidate {
  const below = p / ratio;
  const above = (arc - p) / ratio;
  const [advanceRoomDeg, retardRoomDeg] = s > 0 ? [below, above] : [above, below];
  return { ...place, advanceRoomDeg, retardRoomDeg, score: Math.min(advanceRoomDeg, retardRoomDeg) };
}

const compare = (a: number, b: number): number => (Math.abs(a - b) <= EPS ? 0 : a - b);

function ties(
  a: Omit<NearestMiss, 'outsideDeg'>,
  b: Omit<NearestMiss, 'outsideDeg'>,
  preferred: number | undefined
): number {
  const off = (c: typeof a) => Math.abs(wrap180(c.housingBearingDeg - preferred!));
  return (
    (preferred === undefined ? 0 : compare(off(a), off(b))) ||
    Math.abs(a.toothStep) - Math.abs(b.toothStep) ||
    b.toothStep - a.toothStep ||
    a.terminal - b.terminal
  );
}
