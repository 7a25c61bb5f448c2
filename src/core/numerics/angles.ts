/** A wrap within this of its period counts as 0, and limits are compared to it. */
export const EPS = 1e-9;

/** a mod n, never negative; within 1e-9 of n it is 0. */
export function mod(a: number, n: number): number {
  const m = a - n * Math.floor(a / n);
  return m < 0 || n - m <= EPS ? 0 : m;
}

/** Into [0, 360). */
export const wrap360 = (deg: number): number => mod(deg, 360);

/** Into (-180, 180]. */
export function wrap180(deg: number): number {
  const m = mod(deg, 360);
  return m > 180 + EPS ? m - 360 : m;
}

export const rad = (deg: number): number => (deg * Math.PI) / 180;
export const deg = (radians: number): number => (radians * 180) / Math.PI;

/** Is `x` on the arc that starts at `from` and runs `length` degrees upwards, in a cycle of `period`? Ends included. */
export function onArc(x: number, from: number, length: number, period: number): boolean {
  if (length < -EPS) return false;
  return mod(x - from, period) <= length + EPS;
}
