import { pumpChart, type FromChart } from '../../calculations/pump/pump-chart.ts';
import { fail, type CalcError } from '../../errors/catalogue.ts';
import type { Result } from '../../errors/result.ts';
import type { Engine } from '../../engine/engine.ts';
import type { Replayed } from '../../job/replayed.ts';
import { choiceOf, listOf, numberOf } from './vocabulary.ts';

export type ChartKind = 'lift-at-tdc' | 'lift-to-closure';

/** The pump's chart: whether it is this pump's, which lift it gives, and the lift for the timing that is wanted. */
export interface ChartWork {
  pumpCode: string | null;
  chartCode: string | null;
  kind: ChartKind | null;
  points: { btdc: number; liftMm: number }[];
  targetBtdc: number | null;
  /** at the timing wanted; null while the chart refuses it */
  target: FromChart | null;
  problem: CalcError | null;
  /** one pair of eyes alone has read plate and heading */
  oneReader: boolean;
}

export function chartWork(engine: Engine, r: Pick<Replayed, 'chosen'>): ChartWork {
  const said = r.chosen.get('chart-kind') ?? choiceOf(engine, 'chartKind');
  const targetBtdc = numberOf(engine, 'pumpBtdc') ?? null;
  const asked = targetBtdc === null ? null : readChart(engine, { btdc: targetBtdc });
  return {
    pumpCode: choiceOf(engine, 'pumpCode') ?? null,
    chartCode: choiceOf(engine, 'chartCode') ?? null,
    kind: said === 'lift-at-tdc' || said === 'lift-to-closure' ? said : null,
    points: pointsOf(engine),
    targetBtdc,
    target: asked?.ok ? asked.out : null,
    problem: asked && !asked.ok ? asked.error : null,
    oneReader: r.chosen.get('plate-read') !== 'two'
  };
}

export function pointsOf(engine: Engine): { btdc: number; liftMm: number }[] {
  const flat = listOf(engine, 'liftChart') ?? [];
  return Array.from({ length: flat.length / 2 }, (_, k) => ({ btdc: flat[2 * k]!, liftMm: flat[2 * k + 1]! }));
}

/** The engine's chart at a timing or at a lift; a code that is missing matches none. */
export const readChart = (engine: Engine, at: { btdc: number } | { liftMm: number }): Result<FromChart> => {
  const points = pointsOf(engine);
  if (points.length === 0) return fail('chart-order', 'liftChart', {});
  return pumpChart({
    chart: { pumpCode: choiceOf(engine, 'chartCode') ?? '', points },
    pumpCode: choiceOf(engine, 'pumpCode') ?? '',
    ...at
  });
};

/** What contradicts itself between pump and chart on a data sheet. */
export function chartConflicts(e: Engine): { names: string[]; message: string }[] {
  const points = pointsOf(e);
  if (points.length === 0) return [];
  const way = Math.sign(points[points.length - 1]!.liftMm - points[0]!.liftMm);
  const steady = points.every((p, k) => k === 0 || Math.sign(p.liftMm - points[k - 1]!.liftMm) === way);
  if (points.length >= 3 && way !== 0 && steady) return [];
  return [
    {
      names: ['liftChart'],
      message: 'The chart needs three points at least, and its lift must rise, or fall, from point to point.'
    }
  ];
}
