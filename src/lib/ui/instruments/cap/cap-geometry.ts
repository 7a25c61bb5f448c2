import { deg, rad, wrap360 } from '$core/numerics/angles.ts';

/** The cap from above; bearings are clockwise from above, 0 towards the front of the engine, drawn upwards. */
export const SIZE = { width: 340, height: 330 };
export const CENTRE = { cx: 170, cy: 168, radius: 108 };

const at = (n: number) => n.toFixed(1);

export function bearingPoint(bearing: number, r: number): { x: number; y: number } {
  return { x: CENTRE.cx + r * Math.sin(rad(bearing)), y: CENTRE.cy - r * Math.cos(rad(bearing)) };
}

/** An arc clockwise from one bearing to another at a radius. */
export function bearingArc(from: number, to: number, r: number): string {
  const a = bearingPoint(from, r);
  const b = bearingPoint(to, r);
  return `M${at(a.x)} ${at(a.y)}A${r} ${r} 0 ${wrap360(to - from) > 180 ? 1 : 0} 1 ${at(b.x)} ${at(b.y)}`;
}

export interface Terminal {
  cylinder: number;
  bearing: number;
}

/**
 * Where each cylinder's terminal stands when number one's is at `first`: in firing order, in the rotor's direction,
 * evenly or at the firing angles of an uneven engine.
 */
export function terminals(
  order: readonly number[],
  rotor: 'cw' | 'ccw',
  first: number,
  firingDeg?: readonly number[],
  ratio: number | null = null
): Terminal[] {
  const s = rotor === 'cw' ? 1 : -1;
  // uneven firing angles are the crank's: without the ratio nobody knows where their terminals stand
  if (firingDeg && ratio === null) return [];
  return order.map((cylinder, k) => {
    const step = firingDeg ? firingDeg[k]! * ratio! : (k * 360) / order.length;
    return { cylinder, bearing: wrap360(first + s * step) };
  });
}

/** The rotor as a tapered blade pointing up; turned by a transform. */
export const ROTOR = 'M-9 0 L-5 -76 H5 L9 0Z';

/** An arrow along the rim that shows a turn; its head points the way of the turn. */
export function turnArrow(turn: 'cw' | 'ccw', middle: number, span: number, r: number): { d: string; head: string } {
  const from = middle - span / 2;
  const to = middle + span / 2;
  const end = turn === 'cw' ? to : from;
  const p = bearingPoint(end, r);
  return {
    d: bearingArc(from, to, r),
    head: `translate(${at(p.x)} ${at(p.y)}) rotate(${at(end + (turn === 'cw' ? 0 : 180))})`
  };
}

/** The bearing of a place on the drawing. */
export const bearingOf = (x: number, y: number): number => wrap360(deg(Math.atan2(x - CENTRE.cx, CENTRE.cy - y)));

/** A block of a ring from one bearing clockwise to another, between two radii. */
export function ringBlock(from: number, to: number, inner: number, outer: number): string {
  const a = bearingPoint(from, outer);
  const b = bearingPoint(to, outer);
  const c = bearingPoint(to, inner);
  const d = bearingPoint(from, inner);
  const large = wrap360(to - from) > 180 ? 1 : 0;
  return `M${at(a.x)} ${at(a.y)}A${outer} ${outer} 0 ${large} 1 ${at(b.x)} ${at(b.y)}L${at(c.x)} ${at(c.y)}A${inner} ${inner} 0 ${large} 0 ${at(d.x)} ${at(d.y)}Z`;
}

/** How much of what blocks the housing is drawn at each end of the free arc: never more than the blocked part. */
export const blockSpan = (min: number, max: number): number => Math.min(34, (360 - wrap360(max - min)) / 2);
