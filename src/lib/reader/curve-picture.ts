import { bandOf, numberOf, type Engine } from '$core/engine/engine.ts';
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

/** What a sweep shows beside the limits of its engine. */
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
