import { flywheelMarks } from '../../calculations/flywheel/flywheel-marks.ts';
import { throttleStop } from '../../calculations/throttle/throttle-stop.ts';
import { verdict, type Verdict, type VerdictState } from '../../calculations/verdict/verdict.ts';
import type { CalcError } from '../../errors/catalogue.ts';
import { sliderOf, type Engine } from '../../engine/engine.ts';
import { handU, repeatedU, stepU } from '../../calculations/gauge/hand.ts';
import { gaugeOf, gaugeOfAll } from '../../job/readings.ts';
import { wrap180, wrap360 } from '../../numerics/angles.ts';
import { mean, sampleSd } from '../../numerics/statistics.ts';
import type { Reading, Replayed } from '../../job/replayed.ts';
import { listOf, numberOf } from './vocabulary.ts';

export interface MarkRow {
  cylinder: number;
  expectedDeg: number;
  /** as it was read last */
  found: Reading | null;
  /** readings that lie together and count, and their mean on the wheel */
  n: number;
  wheelDeg: number | null;
  /** standard uncertainty of the error, degrees */
  uDeg: number | null;
  /** how far the last reading lies from one before that does not count; null where all lie together or it was read once */
  apartDeg: number | null;
  errorDeg: number | null;
  errorMm: number | null;
  verdict: Verdict | null;
}

/** Each cylinder's mark on the flywheel against where it must lie, and the stop screw learnt from its readings. */
export interface FlywheelWork {
  /** how far the piston stands below its top at full advance, mm; null while the data sheet lacks something */
  dropMm: number | null;
  mmPerDeg: number | null;
  problem: CalcError | null;
  rows: MarkRow[];
  /** the largest of the rows' */
  uDeg: number | null;
  /** errors are counted from true TDC; else, while that is not known, from the mark of cylinder one */
  fromTdc: boolean;
  withinDeg: number | null;
  state: VerdictState | null;
  /** what the pattern of the errors says: a mark, a set-up, or cylinder one itself; null where all is in or too little is read */
  pattern: string | null;
  /** named, but no cylinder of this engine */
  strange: number[];
  /** lead and number at the pointer, last of each lead */
  matched: { lead: number; seen: number }[];
  stop: {
    readings: { turns: number; btdc: number }[];
    degPerTurn: number | null;
    turnsFromLast: number | null;
    /** standard uncertainty of those turns */
    uTurns: number | null;
    /** the readings moved by no more than they can err: what a turn does is not known */
    slopeOpen: boolean;
    problem: CalcError | null;
  };
}

interface Pair {
  first: Reading;
  second: Reading | null;
}
function pairsOf(r: Replayed, one: string, other: string): Pair[] {
  const out: Pair[] = [];
  for (const x of r.readings) {
    if (x.slot === one) out.push({ first: x, second: null });
    else if (x.slot === other && out.length > 0) out[out.length - 1]!.second = x;
  }
  return out;
}

/** A repeat farther from those before than so many standard deviations was read with the dial mounted anew. */
const APART_SIGMAS = 3.5;

/** What was read of one cylinder: the last readings that lie together, and how far they lie from those before. */
interface Measured {
  last: Reading;
  mean: number;
  n: number;
  u: number;
  apartDeg: number | null;
}

function measuredOf(all: readonly Reading[]): Measured {
  let together: Reading[] = [];
  let before: number | null = null;
  const middle = (g: readonly Reading[]) => g[0]!.value + mean(g.map((x) => wrap180(x.value - g[0]!.value)));
  for (const x of all) {
    const s = gaugeOf(x).scatter ?? gaugeOf(x).resolution;
    const off = together.length ? Math.abs(wrap180(x.value - middle(together))) : 0;
    if (together.length && off > APART_SIGMAS * s * Math.sqrt(1 + 1 / together.length)) {
      before = middle(together);
      together = [];
    }
    together.push(x);
  }
  const values = together.map((x) => wrap180(x.value - together[0]!.value));
  return {
    last: together[together.length - 1]!,
    mean: wrap360(middle(together)),
    n: together.length,
    u: repeatedU(sampleSd(values), values.length, gaugeOfAll(together)).u,
    apartDeg: before === null ? null : Math.abs(wrap180(middle(together) - before))
  };
}

/** @param tdc where the wheel reads true TDC, and how sure; null while that was not found */
export function flywheelWork(
  engine: Engine,
  r: Replayed,
  tdc: { tdcWheelDeg: number; uDeg: number } | null
): FlywheelWork {
  const order = listOf(engine, 'firingOrder') ?? [];
  const geometry = sliderOf(engine);
  const btdc = numberOf(engine, 'fullAdvanceBtdc');
  const diameter = numberOf(engine, 'flywheelDiameterMm');
  const withinDeg = numberOf(engine, 'markWithinDeg') ?? null;
  const pairs = pairsOf(r, 'mark-of', 'mark-at').filter((p) => p.second !== null);
  const known = pairs.filter((p) => order.includes(p.first.value));
  const last = new Map(
    [...new Set(known.map((p) => p.first.value))].map((cylinder) => [
      cylinder,
      measuredOf(known.filter((p) => p.first.value === cylinder).map((p) => p.second!))
    ])
  );
  const ask =
    geometry && btdc !== undefined && diameter !== undefined && order.includes(1)
      ? { firingOrder: order, ...geometry, btdc, flywheelDiameterMm: diameter, toleranceDeg: withinDeg ?? 1 }
      : null;
  const measured = order
    .filter((c) => last.has(c))
    .map((cylinder) => ({ cylinder, wheelDeg: last.get(cylinder)!.mean }));
  const out = ask ? flywheelMarks({ ...ask, ...(last.has(1) ? { measured } : {}) }) : null;
  const one = last.get(1);
  const marks: { cylinder: number; expectedDeg: number; errorDeg?: number; errorMm?: number }[] = out?.ok
    ? out.out.marks
    : order.map((cylinder, k) => ({ cylinder, expectedDeg: (360 * k) / order.length }));
  const rows = marks.map((m): MarkRow => {
    const mine = last.get(m.cylinder) ?? null;
    const place = tdc && btdc !== undefined ? tdc.tdcWheelDeg - btdc + m.expectedDeg : null;
    const errorDeg = place === null ? (m.errorDeg ?? null) : mine && wrap180(mine.mean - place);
    const uDeg = mine && (tdc ? Math.hypot(mine.u, tdc.uDeg) : one ? Math.hypot(mine.u, one.u) : null);
    const judged = errorDeg !== null && withinDeg !== null && uDeg !== null && (tdc !== null || m.cylinder !== 1);
    return {
      cylinder: m.cylinder,
      expectedDeg: m.expectedDeg,
      found: mine?.last ?? null,
      n: mine?.n ?? 0,
      wheelDeg: mine?.mean ?? null,
      uDeg,
      apartDeg: mine?.apartDeg ?? null,
      errorDeg,
      errorMm: errorDeg === null || !out?.ok ? null : errorDeg * out.out.mmPerDeg,
      verdict: judged ? verdict(errorDeg, uDeg, -withinDeg, withinDeg) : null
    };
  });
  const us = rows.flatMap((x) => x.uDeg ?? []);
  const uDeg = us.length ? Math.max(...us) : null;
  const states = rows.filter((x) => tdc !== null || x.cylinder !== 1).map((x) => x.verdict?.state ?? null);
  const whole = rows.length > 0 && rows.every((x) => x.found);
  return {
    dropMm: out?.ok ? out.out.dropMm : null,
    mmPerDeg: out?.ok ? out.out.mmPerDeg : null,
    problem: out && !out.ok ? out.error : null,
    rows,
    uDeg,
    fromTdc: tdc !== null,
    withinDeg,
    state:
      !whole || states.includes(null)
        ? null
        : states.includes('out')
          ? 'out'
          : states.includes('unsure')
            ? 'unsure'
            : 'in',
    pattern: whole ? patternOf(rows, tdc !== null, withinDeg ?? 0) : null,
    strange: [...new Set(pairs.map((p) => p.first.value))].filter((n) => !order.includes(n)),
    matched: [
      ...new Map(
        pairsOf(r, 'strobe-on', 'number-seen').flatMap((p) => (p.second ? [[p.first.value, p.second.value]] : []))
      ).entries()
    ].map(([lead, seen]) => ({ lead, seen })),
    stop: stopOf(engine, r, tdc !== null && one && btdc !== undefined ? wrap180(one.mean - tdc.tdcWheelDeg + btdc) : 0)
  };
}

/**
 * What the errors tell together. Counted from true TDC each mark speaks for itself; counted from cylinder one, all others off
 * alike speak of the mark of one. A cylinder that is off was measured wrongly where a second measuring lies apart, and is off
 * where it lies together with the first. One that is too close to call is named, the closest to its limit first.
 */
function patternOf(rows: MarkRow[], fromTdc: boolean, within: number): string | null {
  const judged = rows.filter((x) => x.errorDeg !== null && (fromTdc || x.cylinder !== 1));
  const off = judged.filter((x) => x.verdict?.state === 'out');
  const worst = (of: MarkRow[]) => [...of].sort((a, b) => Math.abs(b.errorDeg!) - Math.abs(a.errorDeg!))[0]!;
  if (off.length === 0) {
    const open = judged.filter((x) => x.verdict?.state === 'unsure');
    if (open.length === 0) return null;
    const { cylinder, errorDeg, uDeg, n } = worst(open);
    const stands = `${Math.abs(errorDeg!).toFixed(1)}° \u00b1 ${(2 * uDeg!).toFixed(1)}°`;
    return `Cylinder ${cylinder} lies ${stands} off by ${n === 1 ? 'one reading' : `${n} readings`}, too close to call, \u00b1 ${within}° may be: measure it once more`;
  }
  const errors = judged.map((x) => x.errorDeg!);
  const alike = Math.max(...errors) - Math.min(...errors) <= 2 * Math.max(...judged.map((x) => x.uDeg!)) + 1e-9;
  if (judged.length > 1 && off.length === judged.length && alike)
    return fromTdc
      ? 'All are off alike: the wheel or its pointer moved since true TDC was found. Find it again, then measure each once more'
      : 'All others are off alike: the mark of cylinder 1 is the one that is wrong. Measure cylinder 1 again.';
  const { cylinder, n, apartDeg } = worst(off);
  const name = `Cylinder ${cylinder}`;
  if (n > 1)
    return `${name} was measured ${n} times and is the same: its mark, its crank pin or its trigger is off, not the dial.`;
  const others = off.filter((x) => x.cylinder !== cylinder).map((x) => x.cylinder);
  if (others.length > 0)
    return `${name} is off most, and so ${others.length === 1 ? 'is' : 'are'} ${others.join(', ')}: mount the dial anew and measure each of them once more`;
  return apartDeg === null
    ? `${name} is off by itself: mount the dial anew and measure it once more`
    : `${name} was measured again and differs by ${apartDeg.toFixed(1)}°: the dial\u2019s set-up was wrong once. Look at its angle to the bore and measure it once more`;
}

/** @param markDeg what the strobe reads too early on the mark of cylinder one, degrees */
function stopOf(engine: Engine, r: Replayed, markDeg: number): FlywheelWork['stop'] {
  const read = pairsOf(r, 'stop-turns', 'stop-spark').filter((p) => p.second !== null);
  const readings = read.map((p) => ({ turns: p.first.value, btdc: p.second!.value - markDeg }));
  const target = numberOf(engine, 'fullAdvanceBtdc');
  const nothing = { readings, degPerTurn: null, turnsFromLast: null, uTurns: null, slopeOpen: false, problem: null };
  if (target === undefined || readings.length < 2) return nothing;
  const out = throttleStop({ readings, targetBtdc: target });
  if (!out.ok) return { ...nothing, problem: out.error };
  const { degPerTurn, turnsFromLast } = out.out;
  const n = readings.length;
  const middle = readings.reduce((t, x) => t + x.turns, 0) / n;
  const sxx = readings.reduce((t, x) => t + (x.turns - middle) ** 2, 0);
  // the strobe's fixed error is in every reading alike and drops out of what a turn does
  const uRead = Math.max(...read.map((p) => handU(0, 1, gaugeOf(p.second!)).u || stepU(gaugeOf(p.second!))));
  if (Math.abs(degPerTurn) <= (2 * uRead) / Math.sqrt(sxx)) return { ...nothing, slopeOpen: true };
  const meets = readings[n - 1]!.turns + turnsFromLast;
  // a straight line's own doubt where it meets the target, as in a calibration read backwards
  const uTurns = (uRead / Math.abs(degPerTurn)) * Math.sqrt(1 / n + (meets - middle) ** 2 / sxx);
  return { readings, degPerTurn, turnsFromLast, uTurns, slopeOpen: false, problem: null };
}
