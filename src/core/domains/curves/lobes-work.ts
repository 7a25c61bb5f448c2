import { curveInterval, type Intervals } from '../../calculations/curve/curve-interval.ts';
import { verdict, type Verdict } from '../../calculations/verdict/verdict.ts';
import type { Engine } from '../../engine/engine.ts';
import { oneReading } from '../../job/readings.ts';
import type { Reading, Replayed } from '../../job/replayed.ts';
import { listOf, numberOf, readingsOf } from './vocabulary.ts';

/** The spacing of the sparks round the distributor. */
export interface LobesWork {
  rows: { cylinder: number; reading: Reading }[];
  count: number | null;
  out: Intervals | null;
  toleranceDeg: number | null;
  /** standard uncertainty of one point's place among the others: its reading, less what it moves their middle */
  uDeg: number;
  verdict: Verdict | null;
}

/** Firing points read in firing order, in the rotor's direction; begun anew once the round is full. */
export function lobesWork(engine: Engine, r: Replayed): LobesWork {
  const order = listOf(engine, 'firingOrder');
  const all = readingsOf(r.readings, 'lobe');
  const count = order?.length ?? null;
  const mine = count === null ? [] : all.slice(Math.floor(Math.max(0, all.length - 1) / count) * count);
  const rows = mine.map((reading, k) => ({ cylinder: order![k]!, reading }));
  const toleranceDeg = numberOf(engine, 'lobeToleranceDeg') ?? null;
  const found =
    count !== null && rows.length === count && toleranceDeg !== null
      ? curveInterval({
          angles: rows.map((x) => ({ cylinder: x.cylinder, distributorDeg: x.reading.value })),
          toleranceDeg
        })
      : null;
  const out = found?.ok ? found.out : null;
  const uDeg = rows.length ? Math.max(...rows.map((x) => oneReading(x.reading).u)) * Math.sqrt(1 - 1 / rows.length) : 0;
  const unknown = rows.some((x) => oneReading(x.reading).scatterUnknown);
  return {
    rows,
    count,
    out,
    toleranceDeg,
    uDeg,
    verdict: out && verdict(out.maxErrorDeg, uDeg, null, toleranceDeg, unknown)
  };
}

export function lobesFinding(w: LobesWork): string | null {
  if (!w.out)
    return w.rows.length && w.count ? `${w.rows.length} of ${w.count} firing points read: go on in firing order` : null;
  return intervalsFinding(w.out);
}

export function intervalsFinding(out: Intervals): string {
  switch (out.cause) {
    case 'even':
      return `Even: no spark further than ${out.maxErrorDeg.toFixed(2)}° from its place`;
    case 'run-out':
      return `Run-out of ${out.runOutDeg.toFixed(2)}°, highest at ${out.runOutPhaseDeg.toFixed(0)}°: a bent shaft or a worn bush`;
    case 'lobe':
      return `A lobe is off: ${worstLobe(out)}`;
    case 'unknown':
      return `Uneven by ${out.maxErrorDeg.toFixed(2)}°: with so few firing points run-out and lobes cannot be told apart`;
  }
}

function worstLobe(o: Intervals): string {
  const w = o.errors.reduce((a, b) => (Math.abs(b.errorDeg) > Math.abs(a.errorDeg) ? b : a));
  return `cylinder ${w.cylinder} fires ${Math.abs(w.errorDeg).toFixed(2)}° ${w.errorDeg > 0 ? 'late' : 'early'}`;
}
