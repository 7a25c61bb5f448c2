import { pumpChart, sameCode, type FromChart } from '../../calculations/pump/pump-chart.ts';
import { fail, type CalcError } from '../../errors/catalogue.ts';
import { ok, type Result } from '../../errors/result.ts';
import type { Engine } from '../../engine/engine.ts';
import type { Replayed } from '../../job/replayed.ts';
import { choiceOf, listOf, numberOf } from './vocabulary.ts';

export type ChartKind = 'lift-at-tdc' | 'lift-to-closure';

/**
 * What the maker gives of the pump's lift: a chart of the lift that stands at TDC for each timing, or the one lift at which
 * its port closes; whether it is this pump's, and the lift that must stand for the timing wanted.
 */
export interface ChartWork {
  pumpCode: string | null;
  chartCode: string | null;
  kind: ChartKind | null;
  /** none where the port's closure is one figure */
  points: { btdc: number; liftMm: number }[];
  closureMm: number | null;
  targetBtdc: number | null;
  /** with the crank at TDC by a chart, at the timing wanted by a lift to closure; null while that is refused or not known */
  target: { btdc: number; liftMm: number } | null;
  problem: CalcError | null;
  /** one pair of eyes alone has read plate and heading */
  oneReader: boolean;
}

export function chartWork(engine: Engine, r: Pick<Replayed, 'chosen'>): ChartWork {
  const said = r.chosen.get('chart-kind') ?? choiceOf(engine, 'chartKind');
  const kind = said === 'lift-at-tdc' || said === 'lift-to-closure' ? said : null;
  const targetBtdc = numberOf(engine, 'pumpBtdc') ?? null;
  const asked = targetBtdc === null ? null : wantedLift(engine, kind, targetBtdc);
  return {
    pumpCode: choiceOf(engine, 'pumpCode') ?? null,
    chartCode: choiceOf(engine, 'chartCode') ?? null,
    kind,
    points: pointsOf(engine),
    closureMm: numberOf(engine, 'closureMm') ?? null,
    targetBtdc,
    target: asked?.ok ? { btdc: targetBtdc!, liftMm: asked.out } : null,
    problem: asked && !asked.ok ? asked.error : null,
    oneReader: r.chosen.get('plate-read') !== 'two'
  };
}

/** The lift that must stand; null while it is not on the data sheet, which is asked for and no error. */
function wantedLift(engine: Engine, kind: ChartKind | null, btdc: number): Result<number> | null {
  const points = pointsOf(engine);
  if (kind === 'lift-to-closure' && points.length === 0) {
    const mm = numberOf(engine, 'closureMm');
    if (mm === undefined) return null;
    const [chart, pump] = [choiceOf(engine, 'chartCode') ?? '', choiceOf(engine, 'pumpCode') ?? ''];
    return sameCode(chart, pump) ? ok(mm) : fail('chart-mismatch', 'pumpCode', { chart, pump });
  }
  if (points.length === 0) return null;
  const read = readChart(engine, kind, { btdc });
  return read.ok ? ok(read.out.liftMm) : read;
}

export function pointsOf(engine: Engine): { btdc: number; liftMm: number }[] {
  const flat = listOf(engine, 'liftChart') ?? [];
  return Array.from({ length: flat.length / 2 }, (_, k) => ({ btdc: flat[2 * k]!, liftMm: flat[2 * k + 1]! }));
}

/** The engine's chart at a timing or at a lift; a code that is missing matches none. */
export const readChart = (
  engine: Engine,
  kind: ChartKind | null,
  at: { btdc: number } | { liftMm: number }
): Result<FromChart> =>
  pumpChart({
    chart: { pumpCode: choiceOf(engine, 'chartCode') ?? '', points: pointsOf(engine), ...(kind ? { kind } : {}) },
    pumpCode: choiceOf(engine, 'pumpCode') ?? '',
    ...at
  });

/** What contradicts itself between pump and chart on a data sheet. */
export function chartConflicts(e: Engine): { names: string[]; message: string }[] {
  const points = pointsOf(e);
  if (points.length === 0) return [];
  if (choiceOf(e, 'chartKind') === 'lift-to-closure')
    return [
      {
        names: ['chartKind', 'liftChart'],
        message:
          'The lift at which the port closes is one figure and has no chart. Take the points out and enter that lift, or say that the maker gives the lift standing at TDC.'
      }
    ];
  const rises = points.every((p, k) => k === 0 || p.liftMm > points[k - 1]!.liftMm);
  const falls = points.every((p, k) => k === 0 || p.liftMm < points[k - 1]!.liftMm);
  if (points.length >= 3 && (rises || (falls && choiceOf(e, 'chartKind') !== 'lift-at-tdc'))) return [];
  return [
    {
      names: ['liftChart'],
      message: 'The chart needs three points at least, and its lift must rise from point to point with the timing.'
    }
  ];
}
