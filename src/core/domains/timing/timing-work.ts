import type { Verdict } from '../../calculations/verdict/verdict.ts';
import { verdict as judgedVerdict } from '../../calculations/verdict/verdict.ts';
import { gaugeCombine } from '../../calculations/gauge/gauge-combine.ts';
import { fixedU, handUWithMore, stepU, type Gauge } from '../../calculations/gauge/hand.ts';
import { staticGain } from '../../calculations/static-timing/static-gain.ts';
import { staticAdjust, type HousingMove } from '../../calculations/static-timing/static-adjust.ts';
import type { Engine } from '../../engine/engine.ts';
import { limitsOf, markU } from '../../job/judged.ts';
import { byLastGauge, gaugeOfAll } from '../../job/readings.ts';
import type { WorkContext } from '../../job/domain.ts';
import { isOf, type Slot } from '../../job/run-sheet.ts';
import { adviseSetting, type Advice } from '../../job/setting-advice.ts';
import { bySetting } from '../../job/settings.ts';
import { slotOfWay } from './slot-of-way.ts';
import { choiceOf, numberOf } from './vocabulary.ts';
import type { MarkError } from '../crank/mark-work.ts';
import type { Reading } from '../../job/replayed.ts';

/** One setting of the housing, with the readings taken of it. */
export interface SettingRow {
  n: number;
  readings: Reading[];
  /** those of them that count: with the gauge read last */
  counted: Reading[];
  /** mean as read, before TDC */
  readBtdc: number;
  /** after the mark's error is taken off; the same when the mark's error is not known */
  btdc: number;
  uDeg: number;
  /** shares of the variance: what to measure better */
  uReading: number;
  uMark: number;
  /** the gauge in the hand that read it */
  gauge: Gauge;
  /** rim scale at this setting, mm */
  rimMm: number | null;
  verdict: Verdict | null;
  /** what to do about it: turn, read again, or leave it */
  advice: Advice;
  move: HousingMove | null;
  /** the housing was turned since, or may be: the step was opened again */
  earlier: boolean;
}

export interface TimingWork {
  /** the slot that is read now: that of the way chosen, where there are ways */
  slot: string;
  /** what other ways of seeing it gave, with whether they agree with this one */
  others: { method: string; btdc: number; uDeg: number; apartDeg: number; agrees: boolean }[];
  /** what a millimetre at the rim does, learnt from two settings, and where the rim belongs for the target */
  gain: { degPerMm: number; rimMm: number } | null;
  rows: SettingRow[];
  latest: SettingRow | null;
  markKnown: boolean;
  targetBtdc: number | null;
  minBtdc: number | null;
  maxBtdc: number | null;
  /** a further reading is of the same setting, until the housing is turned */
  nextIsRepeat: boolean;
}

/** The timing of every step that sets or proves it, by the way of seeing the firing point where there are ways. */
export function timings(
  { sheet, engine, r, aim }: Pick<WorkContext, 'sheet' | 'engine' | 'r' | 'aim'>,
  mark: MarkError | null,
  way: string
): Record<string, TimingWork> {
  const out: Record<string, TimingWork> = {};
  for (const s of sheet.steps)
    if (s.surface === 'timing') {
      const byWay = s.schools.includes('trigger');
      const named = byWay && Object.hasOwn(slotOfWay, way) ? slotOfWay[way as keyof typeof slotOfWay] : null;
      const slot = s.slots.find((x) => x.slot === named) ?? s.slots[0]!;
      out[s.id] = timingWork(engine, r.readings, s.id, slot, mark, byWay, aim(slot.slot));
    }
  return out;
}

/**
 * Timing readings of a step, grouped by setting of the housing. Each mean is corrected for the mark's error, judged, and
 * turned into a housing move.
 */
export function timingWork(
  engine: Engine,
  readings: readonly Reading[],
  stepId: string,
  kind: Slot,
  mark: MarkError | null,
  byMethod = false,
  aim?: number
): TimingWork {
  const { target, min: minBtdc, max: maxBtdc } = limitsOf(engine, kind);
  const targetBtdc = aim ?? target;
  const { slot } = kind;
  const groups = bySetting(readings.filter((r) => r.step === stepId && isOf(slot, r.slot, ['again'])));
  const of = { kind, mark, targetBtdc, minBtdc, maxBtdc };
  const rows = groups.map((g, k) => setting(k + 1, g, engine, of));
  for (const [k, row] of rows.entries()) row.rimMm = rimAt(readings, stepId, groups[k]!, groups[k + 1]);
  const latest = rows[rows.length - 1] ?? null;
  return {
    slot,
    others: byMethod && latest ? othersOf(engine, readings, stepId, kind, mark, latest) : [],
    gain: targetBtdc === null ? null : gainOf(rows, targetBtdc),
    rows,
    latest,
    markKnown: mark !== null,
    targetBtdc,
    minBtdc,
    maxBtdc,
    nextIsRepeat: latest !== null && latest.advice !== 'turn' && !latest.earlier
  };
}

/** What the other ways gave last, and whether they agree within their uncertainties. */
function othersOf(
  engine: Engine,
  readings: readonly Reading[],
  stepId: string,
  kind: Slot,
  mark: MarkError | null,
  latest: SettingRow
): TimingWork['others'] {
  return Object.entries(slotOfWay).flatMap(([method, other]) => {
    if (other === kind.slot) return [];
    const row = timingWork(engine, readings, stepId, { ...kind, slot: other }, mark).latest;
    if (!row) return [];
    const apartDeg = row.btdc - latest.btdc;
    // the mark's error is in both alike and drops out of the difference
    const agrees = Math.abs(apartDeg) <= 2 * Math.hypot(row.uReading, latest.uReading) + 1e-9;
    return [{ method, btdc: row.btdc, uDeg: row.uDeg, apartDeg, agrees }];
  });
}

function gainOf(rows: readonly SettingRow[], targetBtdc: number): TimingWork['gain'] {
  const moves = rows.flatMap((r) => (r.rimMm === null ? [] : [{ rimMm: r.rimMm, btdc: r.btdc }]));
  if (moves.length < 2) return null;
  const gain = staticGain({ moves, targetBtdc });
  return gain.ok ? gain.out : null;
}

/** The rim as it was read while a setting stood: after its first reading, before the next setting's. */
function rimAt(
  readings: readonly Reading[],
  stepId: string,
  group: readonly Reading[],
  next: readonly Reading[] | undefined
): number | null {
  const from = group[0]!.seq;
  const to = next?.[0]!.seq ?? Infinity;
  const rim = readings.findLast((r) => r.step === stepId && r.slot === 'rim' && r.seq > from && r.seq < to);
  return rim?.value ?? null;
}

interface Of {
  kind: Slot;
  mark: MarkError | null;
  targetBtdc: number | null;
  minBtdc: number | null;
  maxBtdc: number | null;
}

function setting(n: number, readings: Reading[], engine: Engine, of: Of): SettingRow {
  const { kind, mark } = of;
  const counted = byLastGauge(readings);
  const gauge = gaugeOfAll(counted);
  const values = counted.map((r) => r.value);
  const all = gaugeCombine({ readings: values, gauge });
  const uMark = mark ? markU(mark, kind.gauge) : 0;
  const btdc = all.mean - (mark?.errorDeg ?? 0);
  const uDeg = Math.hypot(all.u, uMark);
  const judged = mark !== null && (of.minBtdc !== null || of.maxBtdc !== null);
  const verdict = judged ? judgedVerdict(btdc, uDeg, of.minBtdc, of.maxBtdc, all.scatterUnknown) : null;
  const uHand = Math.sqrt(Math.max(0, all.u ** 2 - fixedU(gauge) ** 2));
  const uMore = Math.hypot(Math.max(handUWithMore(all.s, values.length, gauge), stepU(gauge)), fixedU(gauge), uMark);
  const limits = { min: of.minBtdc, max: of.maxBtdc, target: mark ? of.targetBtdc : null };
  return {
    n,
    readings,
    counted,
    readBtdc: all.mean,
    btdc,
    uDeg,
    uReading: all.u,
    uMark,
    gauge,
    rimMm: null,
    verdict,
    advice: adviseSetting({ value: btdc, u: uDeg, n: values.length, uHand, uMore }, verdict, limits),
    move: mark ? housingMove(engine, btdc, of.targetBtdc) : null,
    earlier: readings[readings.length - 1]!.setting?.earlier ?? false
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
