import type { VerdictState } from '../calculations/verdict/verdict.ts';
import type { Engine } from '../engine/engine.ts';
import { domains } from './domain.ts';
import type { JobState } from './state.ts';

/** A settled figure of a job: what was worked out, how, and how it was judged. Derived from the log, never edited. */
export interface SettledFigure {
  key: string;
  label: string;
  value: number;
  /** one standard uncertainty, in the unit of the value */
  u: number | null;
  kind: 'early-late' | 'wheel' | 'probability' | 'timing' | 'housing' | 'length' | 'crank' | 'speed';
  verdict: VerdictState | null;
  calc: string;
  input: unknown;
  output: unknown;
}

/** The figures settled so far, in the order of the work. */
export function settledFigures(state: JobState, engine: Engine): SettledFigure[] {
  const out: SettledFigure[] = [];
  const { tdc, mark, evidence } = state;
  if (tdc.found && tdc.input)
    out.push({
      key: 'tdc',
      label: 'Wheel at true TDC',
      value: tdc.found.tdcWheelDeg,
      u: tdc.found.uDeg,
      kind: 'wheel',
      verdict: tdc.verdict?.state ?? null,
      calc: tdc.calc,
      input: tdc.input,
      output: tdc.found
    });
  // a job that never judges the mark found TDC for another reason: its mark is no point of the trend
  if (mark && !mark.from && state.sheet.steps.some((s) => s.surface === 'mark'))
    out.push({
      key: 'mark',
      label: 'Mark reads at true TDC',
      value: mark.errorDeg,
      u: mark.uDeg,
      kind: 'early-late',
      verdict: null,
      calc: 'mark.check',
      input: { markBtdc: mark.errorDeg, uDeg: mark.uDeg },
      output: mark
    });
  if (evidence)
    out.push({
      key: 'stroke',
      label: 'Coming rise is compression',
      value: evidence.pCompression,
      u: null,
      kind: 'probability',
      verdict: evidence.state === 'unsure' ? 'unsure' : null,
      calc: 'cycle.evidence',
      input: { evidence: state.signs },
      output: evidence
    });
  for (const [step, t] of Object.entries(state.timing)) {
    if (!t.latest) continue;
    out.push({
      key: `timing:${step}`,
      label: step === 'strobe' ? 'Initial timing, strobe' : 'Initial timing, at rest',
      value: t.latest.btdc,
      u: t.latest.uDeg,
      kind: 'timing',
      verdict: t.latest.verdict?.state ?? null,
      calc: 'static.adjust',
      input: { measuredBtdc: t.latest.btdc, targetBtdc: t.targetBtdc, engine: engine.id },
      output: t.latest.move
    });
  }
  for (const d of domains()) out.push(...(d.figures?.(state.work) ?? []));
  return out;
}

/** A figure with what most figures do not have left out. */
export const add = (f: Omit<SettledFigure, 'verdict' | 'u'> & Partial<SettledFigure>): SettledFigure => ({
  u: null,
  verdict: null,
  ...f
});
