import { curveCompare } from '../../calculations/curve/curve-compare.ts';
import { interpolate, type Knot } from '../../calculations/curve/knots.ts';
import { remembered } from '../../numerics/remembered.ts';
import { curveFit, type CurveFit } from '../../calculations/curve/curve-fit.ts';
import type { CalcError } from '../../errors/result.ts';
import type { Gauge } from '../../calculations/gauge/hand.ts';
import { formatSpeed } from '../../units/format.ts';
import { verdict, type Verdict } from '../../calculations/verdict/verdict.ts';
import { bandOf, type Engine } from '../../engine/engine.ts';
import { choiceOf, numberOf } from './vocabulary.ts';
import { gaugeOf, oneReading } from '../../job/readings.ts';
import type { MarkError } from '../crank/mark-work.ts';
import type { Reading, Replayed } from '../../job/replayed.ts';

/** The fit of a sweep is asked for with every event of its job, and hardly ever anew. */
const fitOf = remembered(curveFit);

/** One place of a sweep: the speed, then the timing read there. */
export interface SweepPoint {
  n: number;
  speed: Reading;
  timing: Reading | null;
  /** engine speed, also where the distributor was run on a bench */
  rpm: number;
  /** timing in crank degrees before TDC, the mark's error taken off; null while only the speed is read */
  deg: number | null;
  dir: 'up' | 'down';
}

export interface SweepWork {
  step: string;
  points: SweepPoint[];
  /** readings are of distributor degrees and speeds, doubled once to the engine's */
  bench: boolean;
  uDeg: number;
  /** of a reading by itself, without the mark's, which is in all alike; crank degrees */
  uReadDeg: number;
  compare: ReturnType<typeof curveCompare> extends infer R
    ? R extends { ok: true; out: infer O }
      ? O | null
      : never
    : never;
  /** the plain shape of what was read going up */
  fit: CurveFit | null;
  problem: CalcError | null;
  /** timing below the start, before TDC */
  initialBtdc: number | null;
  /** the fitted curve less its initial timing: what springs and stop alone do */
  baseline: Knot[] | null;
  /** standard uncertainty of the speeds of the fitted curve, rpm; null while nothing tells it */
  uBaselineRpm: number | null;
  total: { btdc: number; uDeg: number; verdict: Verdict | null } | null;
  /** mechanical advance already in at idle */
  creep: { deg: number; most: number; out: boolean } | null;
  /** the point furthest outside its limits: negative lazy, positive fast */
  worst: { rpm: number; byDeg: number } | null;
}

/** Readings of a sweep in pairs of speed and timing; the way the speed went says whether it was going up or down. */
export function sweepWork(engine: Engine, r: Replayed, step: string, mark: MarkError | null): SweepWork {
  const bench = r.chosen.get('sweep-scale') === 'bench';
  const ratio = numberOf(engine, 'ratio');
  // on a bench nothing can be said of the engine before it is known how fast the distributor runs
  const scale = bench ? (ratio === undefined ? NaN : 1 / ratio) : 1;
  // on a bench only the advance is read: the initial timing of the sheet stands under it
  const under = bench ? (numberOf(engine, 'staticBtdc') ?? 0) : 0;
  const off = bench ? 0 : (mark?.errorDeg ?? 0);
  const points: SweepPoint[] = [];
  for (const x of r.readings) {
    if (x.step !== step) continue;
    if (x.slot === 'sweep-rpm') {
      const last = points[points.length - 1];
      const rpm = x.value * scale;
      const dir = last && rpm < last.rpm ? 'down' : 'up';
      points.push({ n: points.length + 1, speed: x, timing: null, rpm, deg: null, dir });
    } else if (x.slot === 'sweep-deg' && points.length > 0) {
      const p = points[points.length - 1]!;
      p.timing = x;
      p.deg = x.value * scale - off + under;
    }
  }
  const scaled = Number.isFinite(scale);
  const read = points.filter((p): p is SweepPoint & { deg: number } => scaled && p.deg !== null);
  const first = read[0]?.timing ? oneReading(read[0].timing) : null;
  const gauge = first ? first.u * scale : 0;
  const uDeg = Math.hypot(gauge, bench ? 0 : (mark?.uDeg ?? 0));
  const band = bandOf(engine);
  const compared = band && read.length > 0 ? compareAt(read, band, uDeg) : null;
  const up = read.filter((p) => p.dir === 'up').map(({ rpm, deg }) => ({ rpm, deg }));
  const sane = up.every((p) => Math.abs(p.deg) <= HALF_TURN);
  const fitted =
    up.length >= 6 && sane
      ? fitOf({ points: up, maxRamps: up.length >= SECOND_RAMP_FROM ? 2 : 1, ...gaugesOf(read, scale) })
      : null;
  const fit = fitted?.ok ? sureOf(fitted.out, read) : null;
  const initialBtdc = fit ? fit.knots[0]!.deg : null;
  const baseline = fit ? fit.knots.map((k) => ({ rpm: k.rpm, deg: k.deg - fit.knots[0]!.deg })) : null;
  const most = numberOf(engine, 'totalMaxBtdc') ?? null;
  const problem = compared && !compared.ok ? compared.error : fitted && !fitted.ok ? fitted.error : null;
  const uTotal = fit?.uTotalDeg == null ? uDeg : Math.hypot(fit.uTotalDeg, bench ? 0 : (mark?.uDeg ?? 0));
  // up and down are read on one mark: its doubt is in both alike, and says nothing of whether the weights stick
  const alone = band && read.length > 0 && uDeg > gauge ? compareAt(read, band, gauge) : compared;
  const compare = compared?.ok ? { ...compared.out, sticky: alone?.ok ? alone.out.sticky : compared.out.sticky } : null;
  return {
    step,
    points,
    bench,
    uDeg,
    uReadDeg: gauge,
    compare,
    fit,
    problem,
    initialBtdc,
    baseline,
    uBaselineRpm: fit?.uStartRpm == null || fit.uFullRpm === null ? null : Math.max(fit.uStartRpm, fit.uFullRpm),
    total: fit && {
      btdc: fit.fullDeg,
      uDeg: uTotal,
      verdict: most === null ? null : verdict(fit.fullDeg, uTotal, null, most, first?.scatterUnknown)
    },
    creep: baseline ? creepOf(engine, baseline) : null,
    worst: compare ? worstOf(compare.points) : null
  };
}

const compareAt = (
  read: readonly { rpm: number; deg: number; dir: 'up' | 'down' }[],
  band: NonNullable<ReturnType<typeof bandOf>>,
  uDeg: number
) => curveCompare({ measured: read.map(({ rpm, deg, dir }) => ({ rpm, deg, dir })), spec: band, uDeg });

/** With fewer points, noise alone makes a second ramp in a quarter of the sweeps. */
const SECOND_RAMP_FROM = 12;

/** Speeds that were read with a gauge nobody named are sure to nobody knows what: nor is what the fit says of speeds. */
const sureOf = (fit: CurveFit, read: readonly SweepPoint[]): CurveFit =>
  read.every((p) => p.speed.gauge) ? fit : { ...fit, uStartRpm: null, uFullRpm: null, uSlope: null };

/** What degrees and speeds were read with, in crank degrees and engine speeds. */
function gaugesOf(read: readonly SweepPoint[], scale: number): { strobe?: Gauge; tacho?: Gauge } {
  const scaled = (r: Reading): Gauge => {
    const g = gaugeOf(r);
    const hand = g.scatter === undefined ? {} : { scatter: g.scatter * scale, scatterDof: g.scatterDof };
    return { resolution: g.resolution * scale, accuracy: g.accuracy * scale, ...hand };
  };
  const first = read[0];
  return first?.timing ? { strobe: scaled(first.timing), tacho: scaled(first.speed) } : {};
}

/** No timing lies further from TDC: such a curve is not fitted, and its point is out of any limits. */
const HALF_TURN = 180;

/** Rule of thumb where the sheet has no limit: half a degree in at idle already makes it hunt. */
export const CREEP_MOST = 0.5;

function creepOf(engine: Engine, baseline: Knot[]): SweepWork['creep'] {
  const idle = numberOf(engine, 'idleRpm');
  if (idle === undefined) return null;
  const most = numberOf(engine, 'creepMaxDeg') ?? CREEP_MOST;
  const deg = interpolate(
    baseline.map((k) => k.rpm),
    baseline.map((k) => k.deg),
    idle
  );
  return { deg, most, out: deg > most + 1e-9 };
}

function worstOf(
  points: { rpm: number; deg: number; minDeg: number | null; maxDeg: number | null; state: string }[]
): SweepWork['worst'] {
  let worst: SweepWork['worst'] = null;
  for (const p of points) {
    if (p.state !== 'out' || p.minDeg === null || p.maxDeg === null) continue;
    const byDeg = p.deg < p.minDeg ? p.deg - p.minDeg : p.deg - p.maxDeg;
    if (!worst || Math.abs(byDeg) > Math.abs(worst.byDeg)) worst = { rpm: p.rpm, byDeg };
  }
  return worst;
}

/** The finding of a sweep: lazy or fast and where, sticky or not, what creeps. Null before there is anything to find. */
export function sweepFinding(w: SweepWork, engine: Engine): string | null {
  const kind = choiceOf(engine, 'advanceKind');
  if (kind === 'locked' || kind === 'electronic') return steadyFinding(w, kind);
  if (!w.compare) return w.problem?.message ?? null;
  const parts: string[] = [];
  if (w.worst)
    parts.push(
      `${w.worst.byDeg < 0 ? 'Lazy' : 'Fast'} by ${Math.abs(w.worst.byDeg).toFixed(1)}° at ${formatSpeed(w.worst.rpm)}`
    );
  else if (w.compare.state === 'in') parts.push('In its limits at every speed');
  else if (w.compare.state === 'unsure') parts.push('Within its limits or too close to call at every speed');
  else parts.push('No point lies where the data sheet has limits');
  if (w.compare.sticky) parts.push(`sticky coming down by ${w.compare.hysteresisDeg!.toFixed(1)}°`);
  if (w.creep?.out) parts.push(`${w.creep.deg.toFixed(1)}° already in at idle`);
  if (w.total?.verdict?.state === 'out')
    parts.push(
      `total ${w.total.btdc.toFixed(1)}° ± ${(2 * w.total.uDeg).toFixed(1)}°, above the ${numberOf(engine, 'totalMaxBtdc')}° it may have`
    );
  return parts.join(', ');
}

/** Without weights there is no curve to judge: the timing should stand still, or follow the control unit. */
function steadyFinding(w: SweepWork, kind: 'locked' | 'electronic'): string | null {
  const degs = w.points.flatMap((p) => (p.deg === null ? [] : [p.deg]));
  if (degs.length < 2) return null;
  const moved = Math.max(...degs) - Math.min(...degs);
  if (kind === 'electronic')
    return `The control unit moves the spark by ${moved.toFixed(1)}°: look at the rotor tip over all of it`;
  return moved <= 2 * w.uDeg + 0.5
    ? 'Locked, and it stands still over the speeds'
    : `Locked, yet it moves by ${moved.toFixed(1)}°: look for float, backlash or a loose plate`;
}
