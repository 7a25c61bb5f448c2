import type { CalcError } from '../../errors/result.ts';
import { wrap180 } from '../../numerics/angles.ts';
import { dropMm, slider, type SliderInput } from '../../calculations/piston/slider.ts';
import { tdcFit, type TdcFit } from '../../calculations/tdc/tdc-fit.ts';
import type { Gauge } from '../../calculations/gauge/hand.ts';
import type { Reading } from '../../job/replayed.ts';

export interface FitRow {
  n: number;
  wheel: Reading;
  dial: Reading | null;
  /** dial as read less the fitted curve, mm */
  residualMm: number | null;
  thrownOut: boolean;
}

export interface FitWork {
  rows: FitRow[];
  result: TdcFit | null;
  input: Parameters<typeof tdcFit>[0] | null;
  error: CalcError | null;
  /** why the dial seems to have come to the end of its travel; null when it does not */
  bottomed: string | null;
}

/** Readings of wheel and dial taken together, fitted by least squares. Which way the dial runs follows from the readings. */
export function fitWork(
  wheels: Reading[],
  dials: Reading[],
  s: SliderInput | null,
  wheel: Gauge | null,
  dial: Gauge | null
): FitWork {
  const rows: FitRow[] = wheels.map((w, n) => ({
    n: n + 1,
    wheel: w,
    dial: dials[n] ?? null,
    residualMm: null,
    thrownOut: false
  }));
  const whole = rows.filter((r) => r.dial !== null);
  const work: FitWork = {
    rows,
    result: null,
    input: null,
    error: null,
    bottomed: whole.length ? bottomed(whole, dial) : null
  };
  if (whole.length === 0 || !s || !wheel || !dial) return work;
  const readings = whole.map((r) => ({ wheelDeg: r.wheel.value, dialMm: r.dial!.value }));
  const both = ([1, -1] as const).map((dialSense) => {
    const input = { ...s, readings, dialSense, wheel, dial };
    return { input, fit: tdcFit(input) };
  });
  // about the top the curve is steeper than about the bottom, so the wrong sense fits visibly worse
  const best = both.filter((b) => b.fit.ok).sort((a, b) => rms(a.fit) - rms(b.fit))[0] ?? both[0]!;
  if (!best.fit.ok) {
    work.error = best.fit.error;
    return work;
  }
  work.result = best.fit.out;
  work.input = best.input;
  const g = slider(s);
  const out = new Set(best.fit.out.outliers);
  for (const [k, r] of whole.entries()) {
    r.thrownOut = out.has(k);
    if (g.ok) r.residualMm = r.dial!.value - fittedDial(g.out, work.result, best.input.dialSense, r.wheel.value);
  }
  return work;
}

/** What the dial should read at a place of the wheel by the fitted curve. */
export function fittedDial(g: Parameters<typeof dropMm>[0], fit: TdcFit, sense: number, wheelDeg: number): number {
  return fit.dialAtTdcMm - sense * dropMm(g, wrap180(wheelDeg - fit.tdcWheelDeg));
}

const rms = (f: ReturnType<typeof tdcFit>): number => (f.ok ? f.out.rmsMm : Infinity);

/** Three readings or more with the very same extreme figure at places that lie apart: the plunger has stalled. */
function bottomed(rows: FitRow[], dial: Gauge | null): string | null {
  const step = (dial?.resolution ?? 0.01) / 2;
  for (const extreme of [Math.min(...rows.map((r) => r.dial!.value)), Math.max(...rows.map((r) => r.dial!.value))]) {
    const same = rows.filter((r) => Math.abs(r.dial!.value - extreme) <= step);
    const places = same.map((r) => wrap180(r.wheel.value));
    const apart = Math.max(...places) - Math.min(...places);
    if (same.length >= 3 && apart > 8)
      return `Readings ${same.map((r) => r.n).join(', ')} all show ${extreme.toFixed(2)} mm: the dial may have come to the end of its travel. Mount it with room both ways and take them again.`;
  }
  return null;
}
