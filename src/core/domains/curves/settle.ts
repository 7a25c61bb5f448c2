import type { SettledFigure } from '../../job/settled.ts';
import { formatSpeed } from '../../units/format.ts';
import { settled } from './figures.ts';
import { numberOf } from './vocabulary.ts';
import type { SweepWork } from './sweep-work.ts';
import type { CurvesState } from './works.ts';

/** How a curve lies to its limits, in words: they are many, and its total alone is not what was judged. */
function againstLimits({ worst, compare }: SweepWork): string {
  if (worst)
    return `${worst.byDeg < 0 ? 'lazy' : 'fast'} by ${Math.abs(worst.byDeg).toFixed(1)}° at ${formatSpeed(worst.rpm)} rpm`;
  if (!compare || compare.state === 'unjudged') return 'no limits to judge it by';
  return compare.state === 'in' ? 'inside its limits at every speed' : 'at its limits, no point sure outside';
}

/** What sweeps settle: the curve, and the spacing of the sparks. */
export function settle({ work: works, engine }: CurvesState): SettledFigure[] {
  const out: SettledFigure[] = [];
  const fitted = works.sweeps.filter((w) => w.fit);
  for (const [k, w] of fitted.entries()) {
    if (!w.fit) continue;
    const last = k === fitted.length - 1;
    if (w.total)
      out.push(
        settled(last ? 'total' : 'total-before', {
          value: w.total.btdc,
          u: w.total.uDeg,
          verdict: w.total.verdict?.state ?? null,
          limits: { min: null, max: numberOf(engine, 'totalMaxBtdc') ?? null },
          calc: 'curve.fit',
          output: w.total
        })
      );
    out.push(
      settled(last ? 'curve' : 'curve-before', {
        text: againstLimits(w),
        value: w.fit.fullDeg,
        u: w.uDeg,
        verdict: w.compare && w.compare.state !== 'unjudged' ? w.compare.state : null,
        limits: 'those of the data sheet at each speed',
        calc: 'curve.fit',
        input: { points: w.points.flatMap((p) => (p.deg === null ? [] : [{ rpm: p.rpm, deg: p.deg, dir: p.dir }])) },
        output: {
          ...w.fit,
          initialBtdc: w.initialBtdc,
          hysteresisDeg: w.compare?.hysteresisDeg ?? null,
          worst: w.worst
        }
      })
    );
  }
  if (works.lobes.out)
    out.push(
      settled('lobes', {
        value: works.lobes.out.maxErrorDeg,
        u: works.lobes.uDeg,
        verdict: works.lobes.verdict!.state,
        limits: `\u00b1 ${works.lobes.toleranceDeg}° of the distributor`,
        calc: 'curve.interval',
        input: { toleranceDeg: works.lobes.toleranceDeg },
        output: works.lobes.out
      })
    );
  return out;
}
