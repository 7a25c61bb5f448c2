import type { CalcError } from '../errors/result.ts';
import { gaugeU } from '../measure/gauge.ts';
import { verdict, type Verdict } from '../measure/verdict.ts';
import { tdcDwell, type Dwell } from '../crank/tdc-dwell.ts';
import { tdcPairs, type TdcFromPairs } from '../crank/tdc-pairs.ts';
import { numberOf, sliderOf, type Engine } from '../sheets/engine.ts';
import type { GaugeRef } from './events.ts';
import type { Reading } from './replay.ts';

export interface PairRow {
  n: number;
  before: Reading | null;
  after: Reading | null;
  middleDeg: number | null;
  uDeg: number | null;
  /** the pair that pulls, when the spread is more than the gauges explain */
  farOff: boolean;
  error: CalcError | null;
}

export interface TdcWork {
  depth: Reading | null;
  rows: PairRow[];
  dwell: Dwell | null;
  input: Parameters<typeof tdcPairs>[0] | null;
  found: TdcFromPairs | null;
  /** depth or geometry that cannot be, when that is what stands in the way */
  error: CalcError | null;
  verdict: Verdict | null;
  withinDeg: number | null;
  nextSlot: 'depth' | 'before' | 'after';
}

/**
 * True TDC from the readings logged so far: pairs in the order taken, the nth before with the nth after.
 * A swapped pair is left out of the mean and shown with its error, so that the others still count.
 */
export function tdcWork(engine: Engine, readings: readonly Reading[], stepId = 'tdc'): TdcWork {
  const mine = readings.filter((r) => r.step === stepId);
  const depth = mine.filter((r) => r.slot === 'depth').at(-1) ?? null;
  const before = mine.filter((r) => r.slot === 'before');
  const after = mine.filter((r) => r.slot === 'after');
  const slider = sliderOf(engine);
  const wheel = lastGauge(before) ?? lastGauge(after);
  const dial = depth?.gauge ?? null;
  const withinDeg = numberOf(engine, 'tdcWithinDeg') ?? null;
  const rows: PairRow[] = [];
  for (let n = 0; n < Math.max(before.length, after.length); n++)
    rows.push({
      n: n + 1,
      before: before[n] ?? null,
      after: after[n] ?? null,
      middleDeg: null,
      uDeg: null,
      farOff: false,
      error: null
    });
  const work: TdcWork = {
    depth,
    rows,
    dwell: dwellOf(slider, dial, wheel),
    input: null,
    found: null,
    error: null,
    verdict: null,
    withinDeg,
    nextSlot: slider && !depth ? 'depth' : before.length > after.length ? 'after' : 'before'
  };
  if (wheel) findFrom(work, slider, wheel, dial);
  return work;
}

function findFrom(work: TdcWork, slider: ReturnType<typeof sliderOf>, wheel: GaugeRef, dial: GaugeRef | null): void {
  const common = {
    ...(slider ?? {}),
    wheel: bare(wheel),
    ...(dial ? { dial: bare(dial) } : {})
  };
  const drop = slider && work.depth ? { dropMm: work.depth.value } : {};
  const good: PairRow[] = [];
  for (const row of work.rows) {
    if (!row.before || !row.after) continue;
    const pair = { beforeWheelDeg: row.before.value, afterWheelDeg: row.after.value, ...drop };
    const alone = tdcPairs({ ...common, pairs: [pair] });
    if (alone.ok) {
      row.middleDeg = alone.out.tdcWheelDeg;
      row.uDeg = alone.out.perPair[0]!.uDeg;
      good.push(row);
    } else if (alone.error.code === 'pair-swapped') {
      row.error = { ...alone.error, message: alone.error.message.replace('pair 1', `pair ${row.n}`) };
    } else work.error = alone.error;
  }
  if (good.length === 0 || work.error) return;
  work.input = {
    ...common,
    pairs: good.map((r) => ({ beforeWheelDeg: r.before!.value, afterWheelDeg: r.after!.value, ...drop }))
  };
  const found = tdcPairs(work.input);
  if (!found.ok) {
    work.error = found.error;
    return;
  }
  work.found = found.out;
  markFarOff(good, found.out);
  if (work.withinDeg !== null) work.verdict = verdict(0, found.out.uDeg, -work.withinDeg, work.withinDeg);
}

/** With three pairs or more: the one farthest from the mean, if it lies further than four times its own uncertainty. */
function markFarOff(rows: PairRow[], found: TdcFromPairs): void {
  if (rows.length < 3) return;
  const off = (r: PairRow) => Math.abs(((r.middleDeg! - found.tdcWheelDeg + 540) % 360) - 180);
  const worst = rows.reduce((a, b) => (off(b) > off(a) ? b : a));
  worst.farOff = off(worst) > 4 * worst.uDeg!;
}

const lastGauge = (rs: Reading[]): GaugeRef | null => rs.filter((r) => r.gauge).at(-1)?.gauge ?? null;
export const bare = (g: GaugeRef) => ({ resolution: g.resolution, accuracy: g.accuracy });

/** What the dial cannot see on this engine and how far down to read, for the gauges in hand. */
export function dwellOf(
  slider: ReturnType<typeof sliderOf>,
  dial: GaugeRef | null,
  wheel: GaugeRef | null
): Dwell | null {
  if (!slider || !dial || !wheel) return null;
  const d = tdcDwell({ ...slider, dial: bare(dial), wheel: bare(wheel), targetUDeg: 0.15 });
  return d.ok ? d.out : null;
}

/** Standard uncertainty of a place read on the wheel, TDC's own included. */
export const placeU = (wheel: GaugeRef | null, uTdc: number): number => Math.hypot(wheel ? gaugeU(wheel) : 0, uTdc);
