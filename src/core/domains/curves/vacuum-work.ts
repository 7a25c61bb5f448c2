import { interpolate } from '../../calculations/curve/knots.ts';
import { vacuumHold } from '../../calculations/vacuum/vacuum-hold.ts';
import { verdict, type Verdict } from '../../calculations/verdict/verdict.ts';
import type { Open } from '../../job/domain.ts';
import { oneReading } from '../../job/readings.ts';
import { vacuumCurveOf, type Engine } from '../../engine/engine.ts';
import type { Reading, Replayed } from '../../job/replayed.ts';
import { lastOf, numberOf } from './vocabulary.ts';

/** Vacuum advance read step by step, and whether the diaphragm holds. */
export interface VacuumWork {
  points: { kpa: Reading; deg: Reading | null; addedDeg: number | null }[];
  curve: { kpa: number; deg: number }[];
  curveFrom: 'read' | 'sheet' | 'none';
  /** what was read against the data sheet's curve; null without curve and tolerance, or with fewer than two depressions */
  verdict: Verdict | null;
  /** whether the deepest reading adds advance for sure, takes it away for sure, or neither; null before two were read */
  sense: 'adds' | 'takes' | 'unsure' | null;
  hold: (ReturnType<typeof vacuumHold> & { most: number; rule: boolean; unnamed: boolean }) | null;
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
  const u = Math.SQRT2 * Math.max(0, ...points.flatMap((p) => (p.deg ? [oneReading(p.deg).u] : [])));
  const unsure = points.some((p) => p.deg && oneReading(p.deg).scatterUnknown);
  const [start, end, seconds] = (['hold-start', 'hold-end', 'hold-seconds'] as const).map((s) => lastOf(r.readings, s));
  const most = numberOf(engine, 'vacuumLossMax');
  return {
    points,
    curve: read.length >= 2 ? read : (sheet ?? []),
    curveFrom: read.length >= 2 ? 'read' : sheet ? 'sheet' : 'none',
    verdict: againstSheet(read, u, unsure, sheet, numberOf(engine, 'vacuumTolDeg')),
    sense: senseOf(read, u),
    hold:
      start && end && seconds && seconds.value > 0
        ? {
            ...vacuumHold({
              startKpa: start.value,
              endKpa: end.value,
              seconds: seconds.value,
              maxLossKpaPerMin: most ?? LOSS_MOST
            }),
            most: most ?? LOSS_MOST,
            rule: most === undefined,
            unnamed: [start, end].some((x) => x.gauge === null)
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

type Added = readonly { kpa: number; deg: number }[];

/** The worst of what was added at each depression, held against the data sheet's curve; u of a difference of two readings, °. */
function againstSheet(
  read: Added,
  u: number,
  scatterUnknown: boolean,
  sheet: Added | null,
  tolerance: number | undefined
): Verdict | null {
  if (!sheet || tolerance === undefined || read.length < 2) return null;
  const [xs, ys] = [sheet.map((p) => p.kpa), sheet.map((p) => p.deg)];
  const off = read.map((p) => p.deg - interpolate(xs, ys, p.kpa));
  const worst = off.reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a));
  return verdict(worst, u, -tolerance, tolerance, scatterUnknown);
}

function senseOf(read: Added, u: number): VacuumWork['sense'] {
  if (read.length < 2) return null;
  const most = read[read.length - 1]!.deg - read[0]!.deg;
  return most > 2 * u ? 'adds' : most < -2 * u ? 'takes' : 'unsure';
}

/** What the capsule's readings leave open: of its advance, and of whether it holds. */
export function vacuumOpen(w: VacuumWork): Open[] {
  const advance = (what: string, short: Open['short']): Open => ({ what, short, of: ['vacuum-set'] });
  const out: Open[] = [];
  const unnamed = (r: Reading | null) => r !== null && r.gauge === null;
  if (w.points.some((p) => unnamed(p.kpa) || unnamed(p.deg)))
    out.push(advance('depression or timing was read with no gauge named', 'no-gauge'));
  else if (w.sense === null)
    out.push(advance('the timing at two depressions or more was not read, the first with none', 'nothing'));
  else if (w.sense === 'takes')
    out.push(advance('depression takes advance away: look at the capsule\u2019s side', 'out'));
  else if (w.verdict?.state === 'out') out.push(advance('vacuum advance lies off its curve', 'out'));
  else if (w.sense === 'unsure')
    out.push(advance('whether depression adds advance is too close to call: read deeper', 'undecided'));
  else if (w.verdict?.state === 'unsure')
    out.push(advance('vacuum advance is too close to call against its curve', 'undecided'));
  const capsule: Pick<Open, 'of'> = { of: ['capsule-ok'] };
  if (!w.hold) out.push({ ...capsule, what: 'nobody has timed whether the diaphragm holds', short: 'nothing' });
  else if (w.hold.unnamed)
    out.push({ ...capsule, what: 'the depression was read with no gauge named', short: 'no-gauge' });
  else if (w.hold.state === 'out') out.push({ ...capsule, what: 'the diaphragm leaks', short: 'out' });
  return out;
}
