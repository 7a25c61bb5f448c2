import type { SettledFigure } from '../../job/settled.ts';
import { settled } from './figures.ts';
import type { RecurveState } from './works.ts';

/** What springs were predicted to do, and by how much that missed. */
export function settle({ work: works }: RecurveState): SettledFigure[] {
  const out: SettledFigure[] = [];
  if (works.recurve.predicted)
    out.push(
      settled('predicted', {
        value: works.recurve.predicted.fullRpm,
        calc: 'curve.swapSprings',
        input: { springs: works.recurve.springs.map((s) => s.name), stop: works.recurve.stop?.name ?? null },
        output: works.recurve.predicted
      })
    );
  if (works.model)
    out.push(
      settled('model', {
        value: works.model.rmsDeg,
        calc: 'curve.swapSprings',
        input: {},
        output: works.model
      })
    );
  return out;
}
