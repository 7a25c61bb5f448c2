import type { CalcError } from '../../errors/result.ts';
import { wrap180 } from '../../numerics/angles.ts';
import { dropMm, slider, type SliderInput } from '../../calculations/piston/slider.ts';
import { tdcFit, type TdcFit } from '../../calculations/tdc/tdc-fit.ts';
import type { Gauge } from '../../calculations/gauge/hand.ts';
import type { Doubt, Reach } from '../../job/narrow.ts';
import { lastGaugeOf } from '../../job/readings.ts';
import type { Reading } from '../../job/replayed.ts';
import { degText } from '../../job/texts.ts';
import { fitDoubt, type FitFound } from './fit-doubt.ts';

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
  found: FitFound | null;
  error: CalcError | null;
  /** why the dial seems to have come to the end of its travel; null when it does not */
  bottomed: string | null;
  /** what is to be read before a fit can be judged; null once it can */
  wants: string | null;
  /** where its doubt comes from and what would narrow it; null while there is no fit */
  doubt: (reach: Reach) => Doubt | null;
}

/** Readings of wheel and dial taken together, fitted by least squares. Which way the dial runs follows from the readings. */
export function fitWork(wheels: readonly Reading[], dials: readonly Reading[], s: SliderInput | null): FitWork {
  const rows: FitRow[] = wheels.map((w, n) => ({
    n: n + 1,
    wheel: w,
    dial: dials[n] ?? null,
    residualMm: null,
    thrownOut: false
  }));
  const wheel = lastGaugeOf(wheels);
  const dial = lastGaugeOf(dials);
  const whole = rows.filter((r) => r.dial !== null);
  const { found, error } = s && wheel && dial ? fitted(whole, s, wheel, dial) : NOTHING;
  if (found) judge(whole, found);
  return {
    rows,
    found,
    error,
    bottomed: whole.length ? bottomed(whole, dial) : null,
    wants: wants(rows, error),
    doubt: (reach) => found && fitDoubt(found, dials[0]?.gauge?.id, reach)
  };
}
const NOTHING = { found: null, error: null };

function fitted(
  whole: readonly FitRow[],
  s: SliderInput,
  wheel: Gauge,
  dial: Gauge
): { found: FitFound | null; error: CalcError | null } {
  if (whole.length === 0) return NOTHING;
  const readings = whole.map((r) => ({ wheelDeg: r.wheel.value, dialMm: r.dial!.value }));
  const both = ([1, -1] as const).map((dialSense) => {
    const input = { ...s, readings, dialSense, wheel, dial };
    return { input, fit: tdcFit(input) };
  });
  // about the top the curve is steeper than about the bottom, so the wrong sense fits visibly worse
  const { fit, input } = both.filter((b) => b.fit.ok).sort((a, b) => rms(a.fit) - rms(b.fit))[0] ?? both[0]!;
  return fit.ok ? { found: { result: fit.out, input }, error: null } : { found: null, error: fit.error };
}

/** How far each reading lies off the curve, and which were thrown out. */
function judge(whole: readonly FitRow[], { result, input }: FitFound): void {
  const g = slider(input);
  const out = new Set(result.outliers);
  for (const [k, r] of whole.entries()) {
    r.thrownOut = out.has(k);
    if (g.ok) r.residualMm = r.dial!.value - fittedDial(g.out, result, input.dialSense!, r.wheel.value);
  }
}

/** What comes before a fit can be judged. */
function wants(rows: readonly FitRow[], error: CalcError | null): string | null {
  const last = rows.at(-1);
  if (!last) return 'Read wheel and dial together at many places, on both sides of the top';
  if (!last.dial) return `Read the dial where the wheel shows ${degText(last.wheel.value)}`;
  if (error?.code === 'one-sided') return 'Take readings on the other side of the top too';
  return rows.length < 3 ? `Take ${3 - rows.length} more at least, on both sides` : null;
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
