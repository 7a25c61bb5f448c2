import { wrap180, wrap360 } from '../../numerics/angles.ts';
import { highestU, ROD } from '../../calculations/tdc/flat-top.ts';
import { isTdcMethod, type TdcMethod } from '../../calculations/tdc/tdc-methods.ts';
import { tdcDwell, type Dwell } from '../../calculations/tdc/tdc-dwell.ts';
import type { CalcError } from '../../errors/result.ts';
import { gaugeCombine, type Combined } from '../../calculations/gauge/gauge-combine.ts';
import { repeatedU, stepU, type Gauge } from '../../calculations/gauge/hand.ts';
import { settledVerdict } from '../../job/judged.ts';
import { lastGaugeOf, type Settled } from '../../job/readings.ts';
import type { Verdict } from '../../calculations/verdict/verdict.ts';
import { sliderOf, type Engine } from '../../engine/engine.ts';
import { numberOf } from './vocabulary.ts';
import { agedMark } from './earlier-mark.ts';
import type { FitWork } from '../tdcfit/fit-work.ts';
import { pairsWork, type PairRow, type PairsWork } from './tdc-pair-rows.ts';
import type { Reading } from '../../job/replayed.ts';

export type { PairRow } from './tdc-pair-rows.ts';
export type TdcSlot = 'depth' | 'before' | 'after' | 'top-dial' | 'top' | 'fit-wheel' | 'fit-dial';

/** True TDC on the degree wheel, by whatever method. */
export interface TdcFound {
  tdcWheelDeg: number;
  /** what the wheel shows at true TDC, in (-180, 180] */
  errorDeg: number;
  uDeg: number;
  /** nothing tells how much the hand scatters: uDeg is the gauges' alone */
  scatterUnknown?: true;
  /** its pairs or readings lie further apart than this hand scatters: never called in */
  disagree?: true;
}

export interface TdcWork {
  method: TdcMethod;
  found: TdcFound | null;
  calc: string;
  input: unknown;
  /** what stands in the way of an answer */
  error: CalcError | null;
  verdict: Verdict | null;
  withinDeg: number | null;
  /** null: this method takes no readings */
  nextSlot: TdcSlot | null;
  slots: TdcSlot[];
  depth: Reading | null;
  rows: PairRow[];
  pairs: PairsWork['result'];
  tops: Reading[];
  fit: FitWork | null;
  dwell: Dwell | null;
  /** standard uncertainty of setting the wheel to zero on the mark: anywhere within half of its divisions; degrees */
  uZeroDeg: number;
}

/** The figures each method asks for. */
const SLOTS: Record<TdcMethod, TdcSlot[]> = {
  mark: [],
  highest: ['top-dial', 'top'],
  rod: ['top'],
  stop: ['before', 'after'],
  pairs: ['depth', 'before', 'after'],
  fit: ['fit-wheel', 'fit-dial']
};

/** True TDC from the readings logged so far, by the method chosen on the step. Readings of other methods stay in the log, unused. */
export function tdcWork(
  engine: Engine,
  readings: readonly Reading[],
  chosen: string,
  /** the step that seeks TDC; undefined where the run sheet has none */
  stepId: string | undefined,
  /** many readings, laid through: nothing while the trade that does it is not here */
  fit: () => FitWork | undefined,
  /** when the job in hand began, ISO; null while nothing is in its log */
  began: string | null
): TdcWork {
  const method: TdcMethod = isTdcMethod(chosen) ? chosen : 'pairs';
  // gauges of other ways are none of this one's
  const wanted: readonly string[] = SLOTS[method];
  const mine = readings.filter((r) => r.step === stepId && wanted.includes(r.slot));
  const of = (slot: TdcSlot) => mine.filter((r) => r.slot === slot);
  const depth = method === 'pairs' ? (of('depth').at(-1) ?? null) : null;
  const before = of('before');
  const after = of('after');
  const slider = sliderOf(engine);
  const wheel = lastGaugeOf(mine.filter((r) => r.quantity === 'angle'));
  const dial = lastGaugeOf(mine.filter((r) => r.quantity === 'length'));
  const work: TdcWork = {
    method,
    found: null,
    calc: '',
    input: null,
    error: null,
    verdict: null,
    withinDeg: numberOf(engine, 'tdcWithinDeg') ?? null,
    nextSlot: null,
    slots: SLOTS[method],
    depth,
    rows: [],
    pairs: null,
    tops: method === 'highest' || method === 'rod' ? of('top') : [],
    fit: null,
    dwell: dwellOf(slider, dial, wheel),
    uZeroDeg: wheel ? stepU(wheel) : 0
  };
  if (method === 'pairs' || method === 'stop') {
    const p = pairsWork(before, after, {
      slider: method === 'pairs' ? slider : null,
      wheel,
      dial,
      dropMm: depth?.value ?? null
    });
    Object.assign(work, {
      rows: p.rows,
      pairs: p.result,
      found: p.result,
      error: p.error,
      calc: 'tdc.pairs',
      input: p.input
    });
    work.nextSlot =
      method === 'pairs' && slider && !depth ? 'depth' : before.length > after.length ? 'after' : 'before';
  } else if (method === 'fit') {
    work.fit = fit() ?? null;
    const found = work.fit?.found;
    Object.assign(work, {
      found: found?.result ?? null,
      error: work.fit?.error ?? null,
      calc: 'tdc.fit',
      input: found?.input ?? null
    });
    work.nextSlot = of('fit-wheel').length > of('fit-dial').length ? 'fit-dial' : 'fit-wheel';
  } else if (method === 'mark') fromMark(work, engine, began);
  else {
    fromTops(work, slider, wheel, method === 'rod' ? ROD : dial);
    work.nextSlot = method === 'highest' && of('top-dial').length === 0 ? 'top-dial' : 'top';
  }
  if (work.found && work.withinDeg !== null)
    work.verdict = settledVerdict({ ...asSettled(work.found), value: 0 }, -work.withinDeg, work.withinDeg);
  return work;
}

/** What was found, as any settled figure is judged. */
const asSettled = ({ uDeg, scatterUnknown, disagree }: TdcFound): Omit<Settled, 'value'> => ({
  u: uDeg,
  n: 1,
  ...(scatterUnknown ? { scatterUnknown } : {}),
  ...(disagree ? { disagree: { apart: 0, times: 0 } } : {})
});

/** With the wheel zeroed on the mark, an earlier job's error of the mark says where true TDC is, as far as it has not moved since. */
function fromMark(work: TdcWork, engine: Engine, began: string | null): void {
  const last = agedMark(engine, began);
  if (!last) return;
  const tdc = wrap360(-last.errorDeg);
  Object.assign(work, {
    found: { tdcWheelDeg: tdc, errorDeg: wrap180(tdc), uDeg: last.uDeg },
    calc: 'mark.check',
    input: last.from
  });
}

function fromTops(work: TdcWork, slider: ReturnType<typeof sliderOf>, wheel: Gauge | null, dial: Gauge | null): void {
  if (work.tops.length === 0 || !slider || !wheel || !dial) return;
  const flat = highestU(slider, dial, 0);
  if (flat === null) return;
  const first = work.tops[0]!.value;
  const input = { readings: work.tops.map((r) => wrap180(r.value - first)), gauge: wheel };
  const all = gaugeCombine(input);
  const tdc = wrap360(first + all.mean);
  const { u, disagree } = topsU(all, input.readings.length, wheel, flat);
  Object.assign(work, {
    found: {
      tdcWheelDeg: tdc,
      errorDeg: wrap180(tdc),
      uDeg: Math.hypot(flat, u),
      ...(all.scatterUnknown ? { scatterUnknown: true } : {}),
      ...(disagree ? { disagree: true } : {})
    },
    calc: 'gauge.combine',
    input
  });
}

/**
 * Standard uncertainty of the mean of readings of a highest point, the flat top left out. Readings that differ by no more than
 * the flat top explains do not disagree: the hand counts as it is known, and the flat top is added once, by the caller.
 * @param flat standard uncertainty of the flat top, degrees
 */
function topsU(all: Combined, n: number, wheel: Gauge, flat: number): { u: number; disagree: boolean } {
  if (wheel.scatter === undefined) return { u: all.u, disagree: false };
  const { disagree } = repeatedU(all.s, n, { ...wheel, scatter: Math.hypot(wheel.scatter, flat) });
  const hand = Math.min(all.s, Math.max(wheel.scatter, stepU(wheel)));
  return { u: disagree ? all.u : repeatedU(hand, n, wheel).u, disagree };
}

export const bare = (g: Gauge): Gauge => ({ resolution: g.resolution, accuracy: g.accuracy });

/** What the dial cannot see on this engine and how far down to read, for the gauges in hand. */
export function dwellOf(slider: ReturnType<typeof sliderOf>, dial: Gauge | null, wheel: Gauge | null): Dwell | null {
  if (!slider || !dial || !wheel) return null;
  const d = tdcDwell({ ...slider, dial: bare(dial), wheel: bare(wheel), targetUDeg: 0.15 });
  return d.ok ? d.out : null;
}

/** Standard uncertainty of a place read on the wheel, TDC's own included. */
export const placeU = (wheel: Gauge | null, uTdc: number): number =>
  Math.hypot(wheel ? repeatedU(0, 1, wheel).u : 0, uTdc);
