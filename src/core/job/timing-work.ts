import type { Verdict } from '../measure/verdict.ts';
import { verdict } from '../measure/verdict.ts';
import { gaugeCombine } from '../measure/gauge.ts';
import { staticAdjust, type HousingMove } from '../static/static-adjust.ts';
import { choiceOf, numberOf, type Engine } from '../sheets/engine.ts';
import type { MarkError } from './mark-work.ts';
import type { Reading } from './replay.ts';

/** One setting of the housing, with the readings taken of it. */
export interface SettingRow {
  n: number;
  readings: Reading[];
  /** mean as read, before TDC */
  readBtdc: number;
  /** after the mark's error is taken off; the same when the mark's error is not known */
  btdc: number;
  uDeg: number;
  /** shares of the variance: what to measure better */
  uReading: number;
  uMark: number;
  verdict: Verdict | null;
  move: HousingMove | null;
}

export interface TimingWork {
  rows: SettingRow[];
  latest: SettingRow | null;
  markKnown: boolean;
  targetBtdc: number | null;
  minBtdc: number | null;
  maxBtdc: number | null;
  /** a further reading is of the same setting, until the housing is turned */
  nextIsRepeat: boolean;
}

/**
 * Timing readings of a step, grouped by setting of the housing: the first slot begins a new setting, its `-again`
 * slot repeats the last. Each mean is corrected for the mark's error, judged, and turned into a housing move.
 */
export function timingWork(
  engine: Engine,
  readings: readonly Reading[],
  stepId: string,
  slot: string,
  mark: MarkError | null
): TimingWork {
  const targetBtdc = numberOf(engine, 'staticBtdc') ?? null;
  const minBtdc = numberOf(engine, 'staticMinBtdc') ?? null;
  const maxBtdc = numberOf(engine, 'staticMaxBtdc') ?? null;
  const groups: Reading[][] = [];
  for (const r of readings) {
    if (r.step !== stepId || (r.slot !== slot && r.slot !== `${slot}-again`)) continue;
    if (r.slot === slot || groups.length === 0) groups.push([r]);
    else groups[groups.length - 1]!.push(r);
  }
  const rows = groups.map((g, k) => setting(k + 1, g, engine, mark, { targetBtdc, minBtdc, maxBtdc }));
  const latest = rows[rows.length - 1] ?? null;
  return {
    rows,
    latest,
    markKnown: mark !== null,
    targetBtdc,
    minBtdc,
    maxBtdc,
    nextIsRepeat: latest !== null && latest.verdict?.state !== 'out'
  };
}

interface Limits {
  targetBtdc: number | null;
  minBtdc: number | null;
  maxBtdc: number | null;
}

function setting(n: number, readings: Reading[], engine: Engine, mark: MarkError | null, lim: Limits): SettingRow {
  const gauge = readings.map((r) => r.gauge).find((g) => g !== null) ?? {
    resolution: readings[0]!.resolution,
    accuracy: 0
  };
  const all = gaugeCombine({ readings: readings.map((r) => r.value), gauge });
  const uMark = mark?.uDeg ?? 0;
  const btdc = all.mean - (mark?.errorDeg ?? 0);
  const uDeg = Math.hypot(all.u, uMark);
  const judged = mark !== null && (lim.minBtdc !== null || lim.maxBtdc !== null);
  return {
    n,
    readings,
    readBtdc: all.mean,
    btdc,
    uDeg,
    uReading: all.u,
    uMark,
    verdict: judged ? verdict(btdc, uDeg, lim.minBtdc, lim.maxBtdc) : null,
    move: housingMove(engine, btdc, lim.targetBtdc)
  };
}

function housingMove(engine: Engine, measuredBtdc: number, targetBtdc: number | null): HousingMove | null {
  const rotorDirection = choiceOf(engine, 'rotorDirection');
  const ratio = numberOf(engine, 'ratio');
  if (targetBtdc === null || ratio === undefined || (rotorDirection !== 'cw' && rotorDirection !== 'ccw')) return null;
  const rimDiameterMm = numberOf(engine, 'rimDiameterMm');
  return staticAdjust({
    measuredBtdc,
    targetBtdc,
    rotorDirection,
    ratio,
    ...(rimDiameterMm === undefined ? {} : { rimDiameterMm })
  });
}
