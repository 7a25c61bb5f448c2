import type { z } from 'zod';
import { mod } from '../../numerics/angles.ts';
import type { capMapInput } from './schemas.ts';

export type MiswireCause =
  'right' | 'two-swapped' | 'wrong-direction' | 'one-place-round' | 'half-cycle-out' | 'shifted' | 'mixed';

export interface CapMap {
  cause: MiswireCause;
  /** the leads as they should be, clockwise from the tower the rotor faces at number one's firing point */
  expected: number[];
  /** towers, counted clockwise from 0, whose lead is not the right one */
  wrong: number[];
  /** places that all leads stand too far on in the rotor's direction; 0 when none */
  places: number;
  /** the two cylinders that changed places, when just two did */
  swapped: [number, number] | null;
}

/**
 * What is wrong with the leads of a cap, from what was traced: which cylinder each tower's lead goes to, clockwise from
 * the tower that the rotor faces when number one fires. Right is the firing order read in the rotor's direction.
 * Tried in this order, the first that explains every tower wins: all right; all one or more places round (half the
 * towers: half a cycle out, the distributor one turn of the crank away); the order laid against the rotor, number one
 * right (with three or four cylinders that is also two leads exchanged, and both are said); two leads exchanged; the
 * order against the rotor and places round; else mixed, several things at once.
 * Combinatorial, source: the definition of a firing order; no figure is estimated.
 */
export function capMap(i: z.infer<typeof capMapInput>): CapMap {
  const n = i.firingOrder.length;
  const s = i.rotorDirection === 'cw' ? 1 : -1;
  const along = (k: number, dir: number) => i.firingOrder[mod(dir * k, n)]!;
  const expected = i.wires.map((_, k) => along(k, s));
  const wrong = i.wires.flatMap((w, k) => (w === expected[k] ? [] : [k]));
  const base = { expected, wrong, places: 0, swapped: null };
  if (wrong.length === 0) return { ...base, cause: 'right' };
  for (let places = 1; places < n; places++)
    if (i.wires.every((w, k) => w === along(k - s * places, s))) {
      const cause =
        places * 2 === n ? 'half-cycle-out' : places === 1 || places === n - 1 ? 'one-place-round' : 'shifted';
      return { ...base, cause, places };
    }
  const two = wrong.length === 2 ? ([i.wires[wrong[0]!]!, i.wires[wrong[1]!]!] as [number, number]) : null;
  if (i.wires.every((w, k) => w === along(k, -s))) return { ...base, cause: 'wrong-direction', swapped: two };
  if (two) return { ...base, cause: 'two-swapped', swapped: two };
  for (let places = 1; places < n; places++)
    if (i.wires.every((w, k) => w === along(k - s * places, -s))) return { ...base, cause: 'wrong-direction', places };
  return { ...base, cause: 'mixed' };
}
