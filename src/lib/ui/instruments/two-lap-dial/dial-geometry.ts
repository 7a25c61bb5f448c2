import { rad } from '$core/numerics/angles.ts';
import type { Motion } from '../motion.ts';

/**
 * Geometry of the two-lap dial: one closed path over the cycle, r(θ) = R + A·tanh(3.4·cos(θ/2))/tanh 3.4.
 * Firing TDC stands at the top of the outer lap, overlap TDC at the top of the inner one, and the laps cross at the
 * bottom. A two-stroke's cycle is one lap of constant radius. θ in crank degrees after firing TDC, clockwise on the
 * drawing whatever way the engine runs: the drawing is of the cycle, not of the shaft.
 */
export interface DialShape {
  cycleDeg: 720 | 360;
  cx: number;
  cy: number;
  radius: number;
  spread: number;
}

export const SIZE = { width: 320, height: 312 };
export const shapeFor = (cycleDeg: 720 | 360): DialShape => ({
  cycleDeg,
  cx: 160,
  cy: 163,
  radius: 106,
  spread: cycleDeg === 720 ? 27 : 0
});

export function lapRadius(s: DialShape, theta: number): number {
  return s.radius + (s.spread * Math.tanh(3.4 * Math.cos(rad(theta) / 2))) / Math.tanh(3.4);
}

export function lapPoint(s: DialShape, theta: number, offset = 0): { x: number; y: number } {
  const r = lapRadius(s, theta) + offset;
  return { x: s.cx + r * Math.sin(rad(theta)), y: s.cy - r * Math.cos(rad(theta)) };
}

/** The hand as it is drawn, from the hub up; it is stretched to the lap that it points at. */
export const HAND = 124;
/** How the hand moves about the hub: it ends a little short of the lap, where the knob stands. */
export const handTo = (s: DialShape, theta: number): Motion => ({
  turn: theta,
  stretch: (lapRadius(s, theta) - 9) / HAND
});
/** How what is drawn at the hub moves out to its place on the lap. */
export function knobAt(s: DialShape, theta: number): Motion {
  const p = lapPoint(s, theta);
  return { shift: { x: p.x - s.cx, y: p.y - s.cy } };
}

const at = (n: number) => n.toFixed(1);

export interface DialFace {
  short: string;
  long: string;
  outer: string;
  inner: string;
}
const faces = new Map<number, DialFace>();

/** What of a dial never changes: laps and ticks, worked out once for each cycle. */
export function dialFace(s: DialShape): DialFace {
  let face = faces.get(s.cycleDeg);
  if (!face) {
    const four = s.cycleDeg === 720;
    face = {
      short: tickPath(s, 'short'),
      long: tickPath(s, 'long'),
      outer: four ? lapPath(s, -180, 180) : lapPath(s, 0, 360),
      inner: four ? lapPath(s, 180, 540) : ''
    };
    faces.set(s.cycleDeg, face);
  }
  return face;
}

/** The path along the laps from one place to another, `stepDeg` apart; it may run backwards. */
export function lapPath(s: DialShape, from: number, to: number, offset = 0, stepDeg = 4): string {
  const n = Math.max(1, Math.ceil(Math.abs(to - from) / stepDeg));
  let d = '';
  for (let k = 0; k <= n; k++) {
    const p = lapPoint(s, from + ((to - from) * k) / n, offset);
    d += `${k === 0 ? 'M' : 'L'}${at(p.x)} ${at(p.y)}`;
  }
  return d;
}

/** All ticks of one kind as one path: short every 10°, long every 90°. Drawn once, never rewritten. */
export function tickPath(s: DialShape, kind: 'short' | 'long'): string {
  let d = '';
  for (let t = 0; t < s.cycleDeg; t += 10) {
    if ((t % 90 === 0) !== (kind === 'long')) continue;
    const a = lapPoint(s, t, -11);
    const b = lapPoint(s, t, kind === 'long' ? 11 : -4);
    d += `M${at(a.x)} ${at(a.y)}L${at(b.x)} ${at(b.y)}`;
  }
  return d;
}

/** The arrowhead at the end of an arc: place and turn of a head that points to the right at 0. */
export function arrowAt(s: DialShape, theta: number, forward: boolean): string {
  const p = lapPoint(s, theta);
  return `translate(${at(p.x)} ${at(p.y)}) rotate(${at(theta + (forward ? 0 : 180))})`;
}

/**
 * The place in the cycle nearest to a pointer on the drawing. On the outer lap and the inner lap the same bearing is
 * two places; the distance from the centre says which is meant, and where the laps cross the place before decides.
 */
export function placeAt(s: DialShape, x: number, y: number, last: number): number {
  const bearing = (Math.atan2(x - s.cx, s.cy - y) * 180) / Math.PI;
  const turn = ((bearing % 360) + 360) % 360;
  if (s.cycleDeg === 360) return turn;
  const step = (t: number) => Math.abs(((((t - last) % 720) + 1080) % 720) - 360);
  return step(turn) <= step(turn + 360) ? turn : turn + 360;
}

/** The place for a first touch, where there is no last one to follow: the lap whose line is nearer. */
export function placeTouched(s: DialShape, x: number, y: number): number {
  const r = Math.hypot(x - s.cx, y - s.cy);
  const turn = placeAt({ ...s, cycleDeg: 360 }, x, y, 0);
  if (s.cycleDeg === 360) return turn;
  return Math.abs(lapRadius(s, turn) - r) <= Math.abs(lapRadius(s, turn + 360) - r) ? turn : turn + 360;
}
