import type { z } from 'zod';
import { mod, onArc, wrap180 } from '../../numerics/angles.ts';
import type { cycleStateInput } from './schemas.ts';

export type Stroke = 'power' | 'exhaust' | 'intake' | 'compression' | 'down' | 'up';
export interface CylinderState {
  cylinder: number;
  phaseDeg: number;
  stroke: Stroke;
  intake: boolean | null;
  exhaust: boolean | null;
  overlap: boolean | null;
}
export interface CycleState {
  cylinders: CylinderState[];
  next: { cylinder: number; inDeg: number };
  companion: number | null;
}
type Input = z.infer<typeof cycleStateInput>;

/** Valve events used where the data sheet has none: a generic camshaft, labelled so wherever it is shown. */
export const GENERIC_VALVES = { ivoBtdc: 10, ivcAbdc: 50, evoBbdc: 50, evcAtdc: 10 };

const FOUR_STROKE: Stroke[] = ['power', 'exhaust', 'intake', 'compression'];

/**
 * Every cylinder's stroke and valves at a crank position (degrees after cylinder one's firing TDC).
 * Cylinder i of the firing order fires at i·cycle/n, or at offsetsDeg[i] on an uneven engine. Strokes begin at their
 * first degree and end before the next; valve arcs include both ends.
 * @returns cylinders in numerical order, the next one to fire and in how many degrees, and number one's companion:
 * the cylinder 360° away, whose valves rock when number one is ready to fire (null if there is none)
 */
export function cycleState(i: Input): CycleState {
  const n = i.firingOrder.length;
  const offset = (k: number) => (i.offsetsDeg ? i.offsetsDeg[k]! : (k * i.cycleDeg) / n);
  const cylinders = i.firingOrder
    .map((cylinder, k) => oneCylinder(cylinder, mod(i.crankDeg - offset(k), i.cycleDeg), i))
    .sort((a, b) => a.cylinder - b.cylinder);
  let next = { cylinder: 0, inDeg: Infinity };
  for (const c of cylinders) {
    const inDeg = mod(-c.phaseDeg, i.cycleDeg);
    if (inDeg < next.inDeg - 1e-9) next = { cylinder: c.cylinder, inDeg };
  }
  const apart = (k: number) => Math.abs(wrap180((offset(k) - 360) / 2)) * 2;
  const k = i.cycleDeg === 720 ? i.firingOrder.findIndex((_, k) => k > 0 && apart(k) <= 1e-6) : -1;
  return { cylinders, next, companion: k < 0 ? null : i.firingOrder[k]! };
}

function oneCylinder(cylinder: number, phaseDeg: number, i: Input): CylinderState {
  if (i.cycleDeg === 360) {
    const stroke = phaseDeg < 180 - 1e-9 ? 'down' : 'up';
    return { cylinder, phaseDeg, stroke, intake: null, exhaust: null, overlap: null };
  }
  const v = i.valves ?? GENERIC_VALVES;
  const intake = onArc(phaseDeg, 360 - v.ivoBtdc, 180 + v.ivoBtdc + v.ivcAbdc, 720);
  const exhaust = onArc(phaseDeg, 180 - v.evoBbdc, 180 + v.evoBbdc + v.evcAtdc, 720);
  const stroke = FOUR_STROKE[Math.min(3, Math.floor((phaseDeg + 1e-9) / 180))]!;
  return { cylinder, phaseDeg, stroke, intake, exhaust, overlap: intake && exhaust };
}
