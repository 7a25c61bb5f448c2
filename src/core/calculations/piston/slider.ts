import { deg, EPS, rad } from '../../numerics/angles.ts';
import { fail } from '../../errors/catalogue.ts';
import { ok, type Result } from '../../errors/result.ts';

/**
 * Slider-crank with offset pin, with what depends on the engine alone worked out once.
 * Crank radius r and rod l in mm, offset e positive towards the side the pin moves to just after TDC.
 * With φ from the cylinder axis the piston stands at y(φ) = r cos φ + √(l² - (r sin φ - e)²);
 * the top is where crank and rod are in line, sin φt = e/(l+r). Derived from the triangle; no series.
 */
export interface Slider {
  r: number;
  l: number;
  e: number;
  /** φ of true TDC, radians */
  topRad: number;
  /** y at the top, mm */
  topMm: number;
  /** drop at the bottom, mm */
  maxDropMm: number;
  /** crank angle from TDC to the bottom going forward, degrees (180 without offset) */
  bottomAfterDeg: number;
}

export interface SliderInput {
  strokeMm: number;
  rodMm: number;
  pinOffsetMm?: number | undefined;
}

/** `geometry-impossible` unless the rod is longer than crank radius plus offset. */
export function slider({ strokeMm, rodMm, pinOffsetMm = 0 }: SliderInput): Result<Slider> {
  const r = strokeMm / 2;
  const l = rodMm;
  const e = pinOffsetMm;
  if (!(l > r + Math.abs(e))) return fail('geometry-impossible', 'rodMm', { strokeMm, rodMm, pinOffsetMm });
  const topMm = Math.sqrt((l + r) ** 2 - e * e);
  const topRad = Math.asin(e / (l + r));
  return ok({
    r,
    l,
    e,
    topRad,
    topMm,
    maxDropMm: topMm - Math.sqrt((l - r) ** 2 - e * e),
    bottomAfterDeg: 180 + deg(Math.asin(e / (l - r)) - topRad)
  });
}

/** Piston drop below TDC in mm, `crankDeg` after true TDC (negative: before). Never negative. */
export function dropMm(s: Slider, crankDeg: number): number {
  const phi = s.topRad + rad(crankDeg);
  const x = s.r * Math.sin(phi) - s.e;
  return Math.max(0, s.topMm - s.r * Math.cos(phi) - Math.sqrt(s.l * s.l - x * x));
}

/** Slope of the drop, mm per degree; negative before TDC. */
export function dropSlope(s: Slider, crankDeg: number): number {
  const phi = s.topRad + rad(crankDeg);
  const sin = s.r * Math.sin(phi);
  const x = sin - s.e;
  const perRad = sin + (x * s.r * Math.cos(phi)) / Math.sqrt(s.l * s.l - x * x);
  return rad(perRad);
}

/**
 * Crank angles, both positive, at which the piston stands `drop` below the top, before and after it; null outside
 * the stroke. Closed form from the two circles that meet in the pin; the small-drop terms are factored so that
 * a drop of a micrometre keeps its digits.
 */
export function anglesAtDrop(s: Slider, drop: number): { beforeDeg: number; afterDeg: number } | null {
  if (drop < -EPS || drop > s.maxDropMm + EPS) return null;
  const d = Math.min(s.maxDropMm, Math.max(0, drop));
  const y = s.topMm - d;
  const distance = Math.hypot(s.e, y);
  const short = (d * (2 * s.topMm - d)) / (s.l + s.r + distance);
  const half = (short * (s.l + distance - s.r)) / (4 * s.r * distance);
  const gamma = 2 * Math.asin(Math.sqrt(Math.min(1, half)));
  const lean = Math.atan2(s.e, y) - s.topRad;
  return { beforeDeg: deg(gamma - lean), afterDeg: deg(gamma + lean) };
}
