import type { z } from 'zod';
import { EPS, mod, wrap360 } from '../../numerics/angles.ts';
import type { driveOrientInput } from './schemas.ts';

export interface Orientation {
  toothStep: number;
  bearingDeg: number;
  /** how far the slot stands clockwise of what is wanted, the nearer way round for its symmetry */
  offDeg: number;
  /** the same in crank degrees: what the housing has to make up for */
  crankDeg: number;
}

/**
 * A drive shaft by its slot instead of a rotor: which tooth brings the slot nearest to the bearing wanted at the target.
 * bearing_k = observed + s·ratio·(target - crank) + k·360/N, k from -⌊(N-1)/2⌋ to ⌊N/2⌋; off_k = the distance to the wanted
 * bearing modulo the slot's symmetry, in (-symmetry/2, symmetry/2]. Ordered by |off|; where two are equal (to 1e-9 + tieDeg)
 * the one comes first whose error the housing cures by turning with the rotor, because that leaves more room to advance
 * (against the rotor). betterByDeg = |off| of the rival less that of the best.
 * Source: the geometry of drive.index with one direction in place of an arc.
 */
export function driveOrient(i: z.infer<typeof driveOrientInput>) {
  const s = i.rotorDirection === 'cw' ? 1 : -1;
  const carried = i.observed.bearingDeg + s * i.ratio * (i.targetCrankDeg - i.observed.crankDeg);
  const half = i.symmetryDeg / 2;
  const choices: Orientation[] = [];
  for (let k = -Math.floor((i.gearTeeth - 1) / 2); k <= Math.floor(i.gearTeeth / 2); k++) {
    const bearingDeg = wrap360(carried + (k * 360) / i.gearTeeth);
    let offDeg = mod(bearingDeg - i.wantedBearingDeg, i.symmetryDeg);
    if (offDeg > half + EPS) offDeg -= i.symmetryDeg;
    choices.push({ toothStep: k === 0 ? 0 : k, bearingDeg, offDeg, crankDeg: Math.abs(offDeg) / i.ratio });
  }
  choices.sort((a, b) => {
    const d = Math.abs(a.offDeg) - Math.abs(b.offDeg);
    if (Math.abs(d) > EPS + i.tieDeg) return d;
    return s * b.offDeg - s * a.offDeg || Math.abs(a.toothStep) - Math.abs(b.toothStep) || b.toothStep - a.toothStep;
  });
  const [best, rival] = choices as [Orientation, Orientation | undefined];
  const betterByDeg = rival ? Math.abs(rival.offDeg) - Math.abs(best.offDeg) : 0;
  return {
    best,
    rival: rival ?? null,
    betterByDeg,
    tie: rival !== undefined && betterByDeg <= EPS + i.tieDeg,
    choices
  };
}
