import type { Knot } from '$core/calculations/curve/knots.ts';
import type { SwappedCurve } from '$core/calculations/curve/curve-swap-springs.ts';
import { bandOfPrediction } from '$core/domains/recurve/prediction-band.ts';
import type { Edges, Point } from '../../reader/curve-picture.ts';

/** A predicted curve over its initial timing, drawn from standstill to a little beyond full advance. */
export function predictedPoints(c: SwappedCurve, initialBtdc: number, maxRpm: number): Point[] {
  return [
    { x: 0, y: initialBtdc },
    ...c.points.map((p) => ({ x: p.rpm, y: p.deg + initialBtdc })),
    { x: Math.max(maxRpm, c.fullRpm), y: c.fullDeg + initialBtdc }
  ];
}

/** The band of a predicted curve over its initial timing; null where none can be claimed. */
export function predictedBand(c: SwappedCurve, initialBtdc: number, maxRpm: number): Edges | null {
  const band = bandOfPrediction(c);
  if (!band) return null;
  const speeds = Array.from({ length: BAND_POINTS + 1 }, (_, k) => (maxRpm * k) / BAND_POINTS);
  const edge = (which: 'least' | 'most') => speeds.map((x) => ({ x, y: initialBtdc + band(x)[which] }));
  return { least: edge('least'), most: edge('most') };
}
/** As many as a chart has room to show. */
const BAND_POINTS = 120;

/** The fitted curve of an earlier job as it is kept with its figures. */
export function ghostOf(output: unknown): Point[] {
  const knots = (output as { knots?: Knot[] } | null)?.knots;
  return Array.isArray(knots) ? knots.map((k) => ({ x: k.rpm, y: k.deg })) : [];
}
