import { rad } from '../../numerics/angles.ts';
import { wheelTicks } from './wheel-ticks.ts';

/** A degree scale to be printed at 1:1. Everything in millimetres; y grows downwards. */
export interface ScaleDrawing {
  width: number;
  height: number;
  lines: { x1: number; y1: number; x2: number; y2: number; weight: number }[];
  circles: { x: number; y: number; r: number; fill: boolean }[];
  texts: { x: number; y: number; size: number; anchor: 'start' | 'middle' | 'end'; text: string; turn?: number }[];
  mmPerDeg: number;
}

export interface ScaleInput {
  diameterMm: number;
  /** degrees before TDC are positive, after it negative */
  fromBtdc: number;
  toBtdc: number;
  stepDeg: number;
}

/** The length printed beside every scale, to be measured on the paper before it is trusted. */
export const CHECK_MM = 100;
const MARGIN = 12;
/** longest piece of tape that still lies on an A4 sheet across */
const STRIP_MM = 260;

const blank = (width: number, height: number, mmPerDeg: number): ScaleDrawing => ({
  width,
  height,
  lines: [],
  circles: [],
  texts: [],
  mmPerDeg
});

/**
 * A timing tape for a rim: ticks along πD·deg/360, each tenth degree longer and marked with as many dots as it has tens,
 * so that it is read by strobe without small print. A tape longer than a sheet is cut into strips that
 * share their end tick. Source of the arc: wheel.ticks.
 */
export function tapeDrawing(i: ScaleInput): ScaleDrawing {
  const { ticks, mmPerDeg } = wheelTicks({
    diameterMm: i.diameterMm,
    fromDeg: i.fromBtdc,
    toDeg: i.toBtdc,
    stepDeg: i.stepDeg
  });
  const perStrip = Math.max(1, Math.floor(STRIP_MM / (mmPerDeg * i.stepDeg)));
  const strips = Math.max(1, Math.ceil((ticks.length - 1) / perStrip));
  const longest = Math.min(perStrip, ticks.length - 1) * i.stepDeg * mmPerDeg;
  const d = blank(MARGIN * 2 + Math.max(longest, CHECK_MM + 80), MARGIN * 2 + 22 + strips * 30, mmPerDeg);
  for (let s = 0; s < strips; s++) {
    const own = ticks.slice(s * perStrip, (s + 1) * perStrip + 1);
    strip(d, own, MARGIN + s * 30 + 4, own[0]!.arcMm, strips > 1 ? s + 1 : null);
  }
  checkLength(d, MARGIN, MARGIN + strips * 30 + 12);
  d.texts.push({
    x: MARGIN + CHECK_MM + 6,
    y: MARGIN + strips * 30 + 13,
    size: 3,
    anchor: 'start',
    text: `tape for a rim of ${Number(i.diameterMm.toFixed(3))} mm, ${mmPerDeg.toFixed(4)} mm a degree`
  });
  return d;
}

function strip(
  d: ScaleDrawing,
  ticks: { deg: number; arcMm: number }[],
  top: number,
  from: number,
  number: number | null
): void {
  const x = (arc: number) => MARGIN + arc - from;
  const end = x(ticks[ticks.length - 1]!.arcMm);
  d.lines.push(
    { x1: MARGIN, y1: top, x2: end, y2: top, weight: 0.25 },
    { x1: MARGIN, y1: top + 18, x2: end, y2: top + 18, weight: 0.15 }
  );
  for (const t of ticks) {
    const ten = isMultiple(t.deg, 10);
    const five = isMultiple(t.deg, 5);
    const zero = Math.abs(t.deg) < 1e-9;
    const length = zero ? 18 : ten ? 9 : five ? 6.5 : 4;
    d.lines.push({ x1: x(t.arcMm), y1: top, x2: x(t.arcMm), y2: top + length, weight: zero ? 0.6 : ten ? 0.4 : 0.2 });
    if (zero) d.texts.push({ x: x(t.arcMm) + 1, y: top + 16.6, size: 3.4, anchor: 'start', text: 'TDC' });
    else if (ten) tens(d, x(t.arcMm), top + 11.2, t.deg);
  }
  if (number !== null)
    d.texts.push({
      x: MARGIN,
      y: top - 1,
      size: 2.6,
      anchor: 'start',
      text: `strip ${number}: its first tick lies on the last of the strip before`
    });
}

/** Dots for the tens, in rows of five; after TDC they are open. */
function tens(d: ScaleDrawing, x: number, y: number, deg: number): void {
  const n = Math.round(Math.abs(deg) / 10);
  for (let k = 0; k < n; k++)
    d.circles.push({
      x: x + ((k % 5) - (Math.min(n, 5) - 1) / 2) * 1.5,
      y: y + Math.floor(k / 5) * 1.7,
      r: 0.5,
      fill: deg > 0
    });
  d.texts.push({
    x,
    y: y + 5.4 + Math.floor((n - 1) / 5),
    size: 2.8,
    anchor: 'middle',
    text: `${Math.abs(deg)}${deg < 0 ? ' after' : ''}`
  });
}

/** A full degree wheel: 360 degrees on a disc, figures every ten, the hole marked; clockwise when the crank runs anticlockwise on it. */
export function wheelDrawing(i: { diameterMm: number; stepDeg: number; runningDirection: 'cw' | 'ccw' }): ScaleDrawing {
  const r = i.diameterMm / 2;
  const c = MARGIN + r;
  const d = blank(Math.max(2 * c, MARGIN * 2 + CHECK_MM), 2 * c + 18, (Math.PI * i.diameterMm) / 360);
  // the figures must rise in the running direction at a fixed pointer: they are laid out the other way round
  const sense = i.runningDirection === 'cw' ? -1 : 1;
  const at = (deg: number, radius: number) => ({
    x: c + radius * Math.sin(rad(sense * deg)),
    y: c - radius * Math.cos(rad(sense * deg))
  });
  d.circles.push({ x: c, y: c, r, fill: false }, { x: c, y: c, r: Math.min(5, r / 6), fill: false });
  d.lines.push(
    { x1: c - 8, y1: c, x2: c + 8, y2: c, weight: 0.2 },
    { x1: c, y1: c - 8, x2: c, y2: c + 8, weight: 0.2 }
  );
  for (let k = 0; k * i.stepDeg < 360 - 1e-9; k++) {
    const deg = k * i.stepDeg;
    const length = deg === 0 ? 14 : isMultiple(deg, 10) ? 9 : isMultiple(deg, 5) ? 6.5 : 4;
    const a = at(deg, r);
    const b = at(deg, r - Math.min(length, r / 3));
    d.lines.push({ x1: a.x, y1: a.y, x2: b.x, y2: b.y, weight: isMultiple(deg, 10) ? 0.35 : 0.18 });
    if (isMultiple(deg, 10)) {
      const p = at(deg, r - Math.min(12.5, r / 2.2));
      d.texts.push({ x: p.x, y: p.y + 1.1, size: Math.min(3.2, r / 14), anchor: 'middle', text: String(deg) });
    }
  }
  checkLength(d, MARGIN, 2 * c + 8);
  return d;
}

function checkLength(d: ScaleDrawing, x: number, y: number): void {
  d.lines.push(
    { x1: x, y1: y, x2: x + CHECK_MM, y2: y, weight: 0.3 },
    { x1: x, y1: y - 3, x2: x, y2: y + 3, weight: 0.3 },
    { x1: x + CHECK_MM, y1: y - 3, x2: x + CHECK_MM, y2: y + 3, weight: 0.3 }
  );
  d.texts.push({
    x: x + CHECK_MM / 2,
    y: y + 5,
    size: 3,
    anchor: 'middle',
    text: `must measure ${CHECK_MM} mm: print at 100 %, not fitted to the page`
  });
}

const isMultiple = (deg: number, of: number): boolean => Math.abs(deg / of - Math.round(deg / of)) < 1e-9;
