import { pumpPhasing } from '../../calculations/pump/pump-phasing.ts';
import { verdict, type Verdict, type VerdictState } from '../../calculations/verdict/verdict.ts';
import type { Engine } from '../../engine/engine.ts';
import { oneReading } from '../../job/readings.ts';
import type { Reading, Replayed } from '../../job/replayed.ts';
import { wrap180 } from '../../numerics/angles.ts';
import { listOf, numberOf } from './vocabulary.ts';

export interface ElementRow {
  element: number;
  reading: Reading | null;
  nominalDeg: number;
  /** late above 0, pump degrees, against even places from the first; null until read */
  errorDeg: number | null;
  verdict: Verdict | null;
  /** thicker above 0: what its tappet's shims change by; null until all are read */
  shimMm: number | null;
}

/** The spacing of a pump's elements at one step. */
export interface ElementsWork {
  order: number[];
  rows: ElementRow[];
  /** how the hand scatters is not known for every closure: the doubt is larger than what the gauge alone makes it */
  scatterUnknown: boolean;
  /** two standard uncertainties of an error, halved: what one closure against the first is in doubt by */
  uDeg: number | null;
  worst: ElementRow | null;
  state: VerdictState | null;
  withinDeg: number | null;
  /** more readings than elements: the last round counts */
  over: number;
}

/** Readings come in firing order, the first its own zero; what comes after a whole round begins the next. */
export function elementsWork(engine: Engine, r: Replayed, step: string): ElementsWork {
  const order = listOf(engine, 'firingOrder') ?? [];
  const all = r.readings.filter((x) => x.step === step && x.slot === 'element');
  const n = order.length;
  const from = n > 0 && all.length > n ? Math.floor((all.length - 1) / n) * n : 0;
  const mine = all.slice(from);
  const withinDeg = numberOf(engine, 'elementWithinDeg') ?? null;
  const first = mine[0];
  const us = mine.map((x) => oneReading(x));
  const uDeg = us.length > 0 ? Math.SQRT2 * Math.max(...us.map((x) => x.u)) : null;
  const unknown = us.some((x) => x.scatterUnknown);
  const shims = mine.length === n && n > 1 ? shimsOf(engine, order, mine) : null;
  const rows = order.map((element, k): ElementRow => {
    const reading = mine[k] ?? null;
    const nominalDeg = (k * 360) / n;
    const errorDeg = reading && first ? wrap180(reading.value - first.value - nominalDeg) : null;
    return {
      element,
      reading,
      nominalDeg,
      errorDeg,
      verdict:
        errorDeg === null || withinDeg === null || uDeg === null || k === 0
          ? null
          : verdict(errorDeg, uDeg, -withinDeg, withinDeg, unknown),
      shimMm: shims?.get(element) ?? null
    };
  });
  const judged = rows.filter((x) => x.errorDeg !== null);
  const worst = judged.reduce<ElementRow | null>(
    (w, x) => (w === null || Math.abs(x.errorDeg!) > Math.abs(w.errorDeg!) ? x : w),
    null
  );
  const states = rows.slice(1).map((x) => x.verdict?.state ?? null);
  const whole = mine.length === n && n > 1;
  return {
    order,
    scatterUnknown: unknown,
    rows,
    uDeg,
    worst,
    state:
      !whole || states.includes(null)
        ? null
        : states.includes('out')
          ? 'out'
          : states.includes('unsure')
            ? 'unsure'
            : 'in',
    withinDeg,
    over: from
  };
}

function shimsOf(engine: Engine, order: number[], read: Reading[]): Map<number, number> | null {
  const [velocity, stepMm, within] = (['camVelocity', 'tappetStepMm', 'elementWithinDeg'] as const).map((f) =>
    numberOf(engine, f)
  );
  if (velocity === undefined || stepMm === undefined || within === undefined) return null;
  const out = pumpPhasing({
    order,
    angles: order.map((element, k) => ({ element, pumpDeg: read[k]!.value })),
    toleranceDeg: within,
    camVelocityMmPerDeg: velocity,
    shimStepMm: stepMm
  });
  return new Map(out.elements.map((e) => [e.element, e.shimChangeMm]));
}
