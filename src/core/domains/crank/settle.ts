import type { SettledFigure } from '../../job/settled.ts';
import { settled } from './figures.ts';
import type { CrankState } from './works.ts';

/** What finding the crank settles: the wheel at true TDC, the mark's error, the stroke. */
export function settle(state: CrankState): SettledFigure[] {
  const out: SettledFigure[] = [];
  const { tdc, mark, evidence, signs } = state.work;
  if (tdc.found && tdc.input)
    out.push(
      settled('tdc', {
        value: tdc.found.tdcWheelDeg,
        u: tdc.found.uDeg,
        verdict: tdc.verdict?.state ?? null,
        limits: `known within \u00b1 ${tdc.withinDeg}°`,
        calc: tdc.calc,
        input: tdc.input,
        output: tdc.found
      })
    );
  // a job that never judges the mark found TDC for another reason: its mark is no point of the trend
  const judges = state.steps.find((v) => v.step.surface === 'mark');
  if (mark && !mark.from && judges)
    out.push(
      settled('mark', {
        value: mark.errorDeg,
        u: mark.uDeg,
        proved: judges.mark?.state === 'done',
        calc: 'mark.check',
        input: { markBtdc: mark.errorDeg, uDeg: mark.uDeg },
        output: mark
      })
    );
  if (evidence)
    out.push(
      settled('stroke', {
        value: evidence.pCompression,
        verdict: evidence.state === 'unsure' ? 'unsure' : null,
        limits: '95 in 100 or more',
        calc: 'cycle.evidence',
        input: { evidence: signs },
        output: evidence
      })
    );
  return out;
}
