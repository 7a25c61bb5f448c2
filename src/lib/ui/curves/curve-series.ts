import { bandOf, numberOf, type Engine } from '$core/engine/engine.ts';
import type { Knot } from '$core/calculations/curve/knots.ts';
import type { SwappedCurve } from '$core/calculations/curve/curve-swap-springs.ts';
import { bandOfPrediction } from '$core/domains/curves/prediction-band.ts';
import type { SweepWork } from '$core/domains/curves/sweep-work.ts';

export interface Point {
  x: number;
  y: number;
}

/** Between which timings a prediction claims to hold, at the same speeds. */
export interface Edges {
  least: Point[];
  most: Point[];
}

/** Everything that one chart of an advance curve shows; what is absent is not drawn. */
export interface CurvePicture {
  band: { rpm: number; minDeg: number; maxDeg: number }[] | null;
  up: Point[];
  down: Point[];
  ghost: Point[];
  predicted: { label: string; points: Point[]; band?: Edges | null }[];

  target: Point[];
  idleRpm: number | null;
  /** advance beyond which the prediction is not measured but carried on */
  carriedFrom: Point | null;
  maxRpm: number;
}

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

export function picture(engine: Engine, sweep: SweepWork | null, more: Partial<CurvePicture> = {}): CurvePicture {
  const band = bandOf(engine);
  const of = (dir: 'up' | 'down') =>
    (sweep?.points ?? []).flatMap((p) => (p.deg !== null && p.dir === dir ? [{ x: p.rpm, y: p.deg }] : []));
  const up = of('up');
  const most = Math.max(1000, ...up.map((p) => p.x), ...(band ?? []).map((b) => b.rpm));
  return {
    band,
    up,
    down: of('down'),
    ghost: [],
    predicted: [],
    target: [],
    idleRpm: numberOf(engine, 'idleRpm') ?? null,
    carriedFrom: null,
    maxRpm: Math.ceil((most * 1.06) / 500) * 500,
    ...more
  };
}

/** The fitted curve of an earlier job as it is kept with its figures. */
export function ghostOf(output: unknown): Point[] {
  const knots = (output as { knots?: Knot[] } | null)?.knots;
  return Array.isArray(knots) ? knots.map((k) => ({ x: k.rpm, y: k.deg })) : [];
}
