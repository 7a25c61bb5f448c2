import { curveInterval, type Intervals } from '../../calculations/curve/curve-interval.ts';
import { vacuumHold } from '../../calculations/vacuum/vacuum-hold.ts';
import { gaugeU } from '../../calculations/gauge/gauge-combine.ts';
import { verdict, type Verdict } from '../../calculations/verdict/verdict.ts';
import { listOf, numberOf, vacuumCurveOf, type Engine } from '../../engine/engine.ts';
import { pointsDwell } from '../../calculations/points/points-dwell.ts';
import { gaugeOf, lastOf, settledOf, type Settled } from '../../job/readings.ts';
import type { Reading, Replayed } from '../../job/replay.ts';

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
  const all = r.readings.filter((x) => x.slot === 'lobe');
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
  const uDeg = rows.length
    ? Math.max(...rows.map((x) => gaugeU(gaugeOf(x.reading)))) * Math.sqrt(1 - 1 / rows.length)
    : 0;
  return { rows, count, out, toleranceDeg, uDeg, verdict: out && verdict(out.maxErrorDeg, uDeg, null, toleranceDeg) };
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

/** Vacuum advance read step by step, and whether the diaphragm holds. */
export interface VacuumWork {
  points: { kpa: Reading; deg: Reading | null; addedDeg: number | null }[];
  curve: { kpa: number; deg: number }[];
  curveFrom: 'read' | 'sheet' | 'none';
  hold: (ReturnType<typeof vacuumHold> & { most: number; rule: boolean }) | null;
}

/** Rule of thumb where the sheet has no figure. */
const LOSS_MOST = 3;

export function vacuumWork(engine: Engine, r: Replayed): VacuumWork {
  const points: VacuumWork['points'] = [];
  for (const x of r.readings) {
    if (x.slot === 'vac-kpa') points.push({ kpa: x, deg: null, addedDeg: null });
    if (x.slot === 'vac-deg' && points.length > 0) points[points.length - 1]!.deg = x;
  }
  // the first is read at no or least depression: what is added counts from it
  const base = points[0]?.deg?.value ?? null;
  for (const p of points) p.addedDeg = p.deg && base !== null ? p.deg.value - base : null;
  const read = points
    .flatMap((p) => (p.addedDeg === null ? [] : [{ kpa: p.kpa.value, deg: p.addedDeg }]))
    .sort((a, b) => a.kpa - b.kpa)
    .filter((p, k, all) => k === 0 || p.kpa > all[k - 1]!.kpa);
  const sheet = vacuumCurveOf(engine);
  const [start, end, seconds] = ['hold-start', 'hold-end', 'hold-seconds'].map((s) => lastOf(r.readings, s)?.value);
  const most = numberOf(engine, 'vacuumLossMax');
  return {
    points,
    curve: read.length >= 2 ? read : (sheet ?? []),
    curveFrom: read.length >= 2 ? 'read' : sheet ? 'sheet' : 'none',
    hold:
      start !== undefined && end !== undefined && seconds !== undefined && seconds > 0
        ? {
            ...vacuumHold({ startKpa: start, endKpa: end, seconds, maxLossKpaPerMin: most ?? LOSS_MOST }),
            most: most ?? LOSS_MOST,
            rule: most === undefined
          }
        : null
  };
}

export function vacuumFinding(w: VacuumWork): string | null {
  if (w.hold)
    return w.hold.state === 'in'
      ? `The diaphragm holds: ${w.hold.lossKpaPerMin.toFixed(1)} kPa lost in a minute`
      : `The diaphragm leaks: ${w.hold.lossKpaPerMin.toFixed(1)} kPa lost in a minute`;
  const most = Math.max(...w.points.map((p) => p.addedDeg ?? 0));
  return w.points.length >= 2 && w.points.some((p) => p.addedDeg !== null)
    ? `Vacuum adds ${most.toFixed(1)}° so far`
    : null;
}

/** Gap and dwell of contacts or trigger, and what changing the dwell does to the timing. */
export interface GapWork {
  gap: (Settled & { verdict: Verdict | null; min: number | null; max: number | null }) | null;
  dwell: (Settled & { verdict: Verdict | null; min: number | null; max: number | null; pct: number | null }) | null;
  shift: { fromDeg: number; toDeg: number; timingShiftDeg: number } | null;
}

export function gapWork(engine: Engine, r: Replayed): GapWork {
  const gap = settledOf(r.readings, 'contact-gap');
  const dwells = r.readings.filter((x) => x.slot === 'dwell');
  const last = dwells[dwells.length - 1];
  const before = dwells[dwells.length - 2];
  const cylinders = listOf(engine, 'firingOrder')?.length;
  const ratio = numberOf(engine, 'ratio');
  const [gapMin, gapMax, dwellMin, dwellMax] = ['contactGapMinMm', 'contactGapMaxMm', 'dwellMinDeg', 'dwellMaxDeg'].map(
    (n) => numberOf(engine, n) ?? null
  ) as [number | null, number | null, number | null, number | null];
  const judge = (v: number, u: number, min: number | null, max: number | null) =>
    min === null && max === null ? null : verdict(v, u, min, max);
  const u = last ? gaugeU(gaugeOf(last)) : 0;
  const room = cylinders === undefined ? Infinity : 360 / cylinders;
  const usable =
    before && last && cylinders !== undefined && ratio !== undefined && Math.max(before.value, last.value) <= room;
  const pct = last && cylinders !== undefined ? (100 * last.value) / room : null;
  return {
    gap: gap && { ...gap, min: gapMin, max: gapMax, verdict: judge(gap.value, gap.u, gapMin, gapMax) },
    dwell: last
      ? {
          value: last.value,
          u,
          n: dwells.length,
          min: dwellMin,
          max: dwellMax,
          pct,
          verdict: judge(last.value, u, dwellMin, dwellMax)
        }
      : null,
    shift: usable
      ? {
          fromDeg: before.value,
          toDeg: last.value,
          timingShiftDeg: pointsDwell({ cylinders, dwellDeg: before.value, newDwellDeg: last.value, ratio })
            .timingShiftDeg
        }
      : null
  };
}

/** Scatter seen at steady speeds against what float and backlash explain. */
export interface ScatterWork {
  rows: { rpm: Reading; spread: Reading | null }[];
  worstDeg: number | null;
  mostDeg: number | null;
  explainedDeg: number | null;
  explainedFrom: string | null;
}

export function scatterWork(engine: Engine, r: Replayed, wander: { deg: number; from: string } | null): ScatterWork {
  const rows: ScatterWork['rows'] = [];
  for (const x of r.readings) {
    if (x.slot === 'spread-rpm') rows.push({ rpm: x, spread: null });
    if (x.slot === 'spread' && rows.length > 0) rows[rows.length - 1]!.spread = x;
  }
  const spreads = rows.flatMap((x) => (x.spread ? [x.spread.value] : []));
  return {
    rows,
    worstDeg: spreads.length ? Math.max(...spreads) : null,
    mostDeg: numberOf(engine, 'scatterMaxDeg') ?? null,
    explainedDeg: wander?.deg ?? null,
    explainedFrom: wander?.from ?? null
  };
}

export function scatterFinding(w: ScatterWork): string | null {
  if (w.worstDeg === null) return null;
  const seen = `The timing scatters by ${w.worstDeg.toFixed(1)}°`;
  if (w.explainedDeg === null) return `${seen}; what the drive explains is not known: measure its float`;
  return w.worstDeg <= w.explainedDeg + 0.25
    ? `${seen}: float and backlash explain up to ${w.explainedDeg.toFixed(1)}°`
    : `${seen}, more than float and backlash explain (${w.explainedDeg.toFixed(1)}°): look at the bush, the lobes and the gear`;
}
