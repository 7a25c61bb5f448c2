import { deg, rad } from '$core/numerics/angles.ts';
import { dropMm, type Slider } from '$core/calculations/piston/slider.ts';
import type { Motion } from '../motion.ts';

/** The slider-crank laid out for drawing: everything in drawing units, the crank pin on a circle of `crank`. */
export interface PistonLayout {
  cx: number;
  cy: number;
  crank: number;
  rod: number;
  /** top of the piston crown at TDC */
  crownTop: number;
  /** crown's height above the piston pin */
  crownUp: number;
  /** how many times larger than life small drops are drawn */
  magnify: number;
}

export const SIZE = { width: 300, height: 400 };
/** the face of the dial that stands on the crown */
export const FACE = { cx: 100, cy: 36, r: 32 };

/** Lays an engine out in the drawing. The rod keeps its true proportion to the stroke. */
export function layout(s: Slider): PistonLayout {
  const crank = 50;
  const rod = Math.min(190, Math.max(crank * 2.2, (crank * s.l) / s.r));
  const cy = SIZE.height - 66;
  const crownUp = 20;
  return { cx: 100, cy, crank, rod, crownTop: cy - crank - rod - crownUp, crownUp, magnify: 3 };
}

export interface PistonPose {
  pin: { x: number; y: number };
  /** piston pin */
  gudgeon: { x: number; y: number };
  crownY: number;
  /** how far the crank is drawn turned, clockwise */
  crankDeg: number;
  needleDeg: number;
}

/**
 * Where the parts stand at a crank angle (degrees after TDC). The drop is drawn `magnify` times near the top and
 * true to scale at the bottom, so that the small drops that are measured can be seen at all.
 */
export function pose(l: PistonLayout, s: Slider, crankDeg: number, runs: 1 | -1, perRevMm = 1): PistonPose {
  const drop = dropMm(s, crankDeg);
  const crownY = crownAt(l, s, drop);
  const a = rad(crankDeg) * runs;
  return {
    pin: { x: l.cx + l.crank * Math.sin(a), y: l.cy - l.crank * Math.cos(a) },
    gudgeon: { x: l.cx, y: crownY + l.crownUp },
    crownY,
    crankDeg: crankDeg * runs,
    needleDeg: (-drop / perRevMm) * 360
  };
}

/** Where the crown is drawn when the piston is so many millimetres down. */
export const crownAt = (l: PistonLayout, s: Slider, drop: number): number =>
  l.crownTop + (magnified(drop, s.maxDropMm, l.magnify) * l.crank) / s.r;

/**
 * How the moving parts move from where they are drawn, with the crank at the top: piston and its pin down the bore, the
 * crank's web about the crank, the rod about the piston pin, the probe about the foot of the dial's face, the needle about
 * its middle.
 */
export function moves(l: PistonLayout, p: PistonPose): Record<'piston' | 'probe' | 'rod' | 'web' | 'needle', Motion> {
  const shift = { x: 0, y: p.crownY - l.crownTop };
  const dx = p.pin.x - p.gudgeon.x;
  const dy = p.pin.y - p.gudgeon.y;
  const foot = FACE.cy + FACE.r;
  return {
    piston: { shift },
    probe: { stretch: (p.crownY - foot) / (l.crownTop + 2 * l.crank - foot) },
    // a rod is drawn no longer than it is: the small drops are magnified, so that it is shorter in between
    rod: { shift, turn: deg(Math.atan2(-dx, dy)), stretch: Math.hypot(dx, dy) / l.rod },
    web: { turn: p.crankDeg },
    needle: { turn: p.needleDeg }
  };
}

/** Small drops times `m`, the whole stroke as it is, smooth in between. */
export function magnified(drop: number, max: number, m: number): number {
  const x = Math.min(1, Math.max(0, drop / max));
  return max * x * (1 + (m - 1) * (1 - x) ** 4);
}

const at = (n: number) => n.toFixed(1);

/** A sector about the crank's centre between two angles after TDC: the band in which the dial sees nothing move. */
export function sector(l: PistonLayout, fromDeg: number, toDeg: number, radius: number): string {
  const p = (d: number) => `${at(l.cx + radius * Math.sin(rad(d)))} ${at(l.cy - radius * Math.cos(rad(d)))}`;
  return `M${at(l.cx)} ${at(l.cy)}L${p(fromDeg)}A${radius} ${radius} 0 0 1 ${p(toDeg)}Z`;
}

/** A ray from the crank's centre. */
export function ray(l: PistonLayout, deg: number, runs: 1 | -1, from: number, to: number): string {
  const a = rad(deg) * runs;
  const p = (r: number) => `${at(l.cx + r * Math.sin(a))} ${at(l.cy - r * Math.cos(a))}`;
  return `M${p(from)}L${p(to)}`;
}

/** The fifty divisions of a dial face, every fifth longer, as one path. */
export function dialTicks(cx: number, cy: number, r: number): string {
  let d = '';
  for (let k = 0; k < 50; k++) {
    const a = rad(k * 7.2);
    const inner = k % 5 ? r - 4 : r - 8;
    d += `M${at(cx + inner * Math.sin(a))} ${at(cy - inner * Math.cos(a))}L${at(cx + (r - 1) * Math.sin(a))} ${at(cy - (r - 1) * Math.cos(a))}`;
  }
  return d;
}
