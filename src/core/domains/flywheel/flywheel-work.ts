import { flywheelMarks } from '../../calculations/flywheel/flywheel-marks.ts';
import { throttleStop } from '../../calculations/throttle/throttle-stop.ts';
import { verdict, type Verdict, type VerdictState } from '../../calculations/verdict/verdict.ts';
import type { CalcError } from '../../errors/catalogue.ts';
import { sliderOf, type Engine } from '../../engine/engine.ts';
import { oneReading } from '../../job/readings.ts';
import type { Reading, Replayed } from '../../job/replayed.ts';
import { listOf, numberOf } from './vocabulary.ts';

export interface MarkRow {
  cylinder: number;
  expectedDeg: number;
  /** as it was read last */
  found: Reading | null;
  /** how far two readings of this cylinder lie apart, degrees; null where it was read once */
  repeatDeg: number | null;
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
  uDeg: number | null;
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

export function flywheelWork(engine: Engine, r: Replayed): FlywheelWork {
  const order = listOf(engine, 'firingOrder') ?? [];
  const geometry = sliderOf(engine);
  const btdc = numberOf(engine, 'fullAdvanceBtdc');
  const diameter = numberOf(engine, 'flywheelDiameterMm');
  const withinDeg = numberOf(engine, 'markWithinDeg') ?? null;
  const pairs = pairsOf(r, 'mark-of', 'mark-at').filter((p) => p.second !== null);
  const known = pairs.filter((p) => order.includes(p.first.value));
  const last = new Map<number, Reading>();
  const repeats = new Map<number, number>();
  for (const p of known) {
    const before = last.get(p.first.value);
    if (before) repeats.set(p.first.value, Math.abs(p.second!.value - before.value));
    last.set(p.first.value, p.second!);
  }
  const ask =
    geometry && btdc !== undefined && diameter !== undefined && order.includes(1)
      ? { firingOrder: order, ...geometry, btdc, flywheelDiameterMm: diameter, toleranceDeg: withinDeg ?? 1 }
      : null;
  const measured = order
    .filter((c) => last.has(c))
    .map((cylinder) => ({ cylinder, wheelDeg: last.get(cylinder)!.value }));
  const out = ask ? flywheelMarks({ ...ask, ...(last.has(1) ? { measured } : {}) }) : null;
  const uDeg = last.size ? Math.SQRT2 * Math.max(...[...last.values()].map((x) => oneReading(x).u)) : null;
  const marks: { cylinder: number; expectedDeg: number; errorDeg?: number; errorMm?: number }[] = out?.ok
    ? out.out.marks
    : order.map((cylinder, k) => ({ cylinder, expectedDeg: (360 * k) / order.length }));
  const rows = marks.map((m): MarkRow => {
    const errorDeg = m.errorDeg ?? null;
    return {
      cylinder: m.cylinder,
      expectedDeg: m.expectedDeg,
      found: last.get(m.cylinder) ?? null,
      repeatDeg: repeats.get(m.cylinder) ?? null,
      errorDeg,
      errorMm: m.errorMm ?? null,
      verdict:
        errorDeg === null || withinDeg === null || uDeg === null || m.cylinder === 1
          ? null
          : verdict(errorDeg, uDeg, -withinDeg, withinDeg)
    };
  });
  const states = rows.filter((x) => x.cylinder !== 1).map((x) => x.verdict?.state ?? null);
  const whole = rows.length > 0 && rows.every((x) => x.found);
  return {
    dropMm: out?.ok ? out.out.dropMm : null,
    mmPerDeg: out?.ok ? out.out.mmPerDeg : null,
    problem: out && !out.ok ? out.error : null,
    rows,
    uDeg,
    withinDeg,
    state:
      !whole || states.includes(null)
        ? null
        : states.includes('out')
          ? 'out'
          : states.includes('unsure')
            ? 'unsure'
            : 'in',
    pattern: whole ? patternOf(rows, uDeg ?? 0) : null,
    strange: [...new Set(pairs.map((p) => p.first.value))].filter((n) => !order.includes(n)),
    matched: [
      ...new Map(
        pairsOf(r, 'strobe-on', 'number-seen').flatMap((p) => (p.second ? [[p.first.value, p.second.value]] : []))
      ).entries()
    ].map(([lead, seen]) => ({ lead, seen })),
    stop: stopOf(engine, r)
  };
}

/**
 * What the errors tell together. They are counted from cylinder one: all others off alike speak of the mark of one itself.
 * A cylinder that is off by itself was measured wrongly where a second measuring disagrees, and is off where it agrees.
 */
function patternOf(rows: MarkRow[], uDeg: number): string | null {
  const others = rows.filter((x) => x.cylinder !== 1 && x.errorDeg !== null);
  const off = others.filter((x) => x.verdict?.state === 'out');
  if (off.length === 0) return null;
  const errors = others.map((x) => x.errorDeg!);
  if (others.length > 1 && off.length === others.length && Math.max(...errors) - Math.min(...errors) <= 2 * uDeg + 1e-9)
    return 'All others are off alike: the mark of cylinder 1 is the one that is wrong. Measure cylinder 1 again.';
  const [worst] = off.sort((a, b) => Math.abs(b.errorDeg!) - Math.abs(a.errorDeg!));
  const name = `Cylinder ${worst!.cylinder}`;
  if (worst!.repeatDeg === null) return `${name} is off by itself: mount the dial anew and measure it once more`;
  return worst!.repeatDeg <= 2 * uDeg + 1e-9
    ? `${name} was measured twice and is the same: its mark, its crank pin or its trigger is off, not the dial.`
    : `${name} was measured twice and differs by ${worst!.repeatDeg.toFixed(1)}°: the dial\u2019s set-up is wrong, not the mark. Look at its angle to the bore.`;
}

function stopOf(engine: Engine, r: Replayed): FlywheelWork['stop'] {
  const read = pairsOf(r, 'stop-turns', 'stop-spark').filter((p) => p.second !== null);
  const readings = read.map((p) => ({ turns: p.first.value, btdc: p.second!.value }));
  const target = numberOf(engine, 'fullAdvanceBtdc');
  const nothing = { readings, degPerTurn: null, turnsFromLast: null, uTurns: null, problem: null };
  if (target === undefined || readings.length < 2) return nothing;
  const out = throttleStop({ readings, targetBtdc: target });
  if (!out.ok) return { ...nothing, problem: out.error };
  const { degPerTurn, turnsFromLast } = out.out;
  const n = readings.length;
  const middle = readings.reduce((t, x) => t + x.turns, 0) / n;
  const sxx = readings.reduce((t, x) => t + (x.turns - middle) ** 2, 0);
  const uRead = Math.max(...read.map((p) => oneReading(p.second!).u));
  const meets = readings[n - 1]!.turns + turnsFromLast;
  // a straight line's own doubt where it meets the target, as in a calibration read backwards
  const uTurns = (uRead / Math.abs(degPerTurn)) * Math.sqrt(1 / n + (meets - middle) ** 2 / sxx);
  return { readings, degPerTurn, turnsFromLast, uTurns, problem: null };
}
