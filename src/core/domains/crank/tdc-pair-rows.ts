import { wrap180 } from '../../numerics/angles.ts';
import type { CalcError } from '../../errors/result.ts';
import { tdcPairs, type TdcFromPairs } from '../../calculations/tdc/tdc-pairs.ts';
import type { Gauge } from '../../calculations/gauge/hand.ts';
import type { SliderInput } from '../../calculations/piston/slider.ts';
import type { Reading } from '../../job/replayed.ts';

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

export interface PairsWork {
  rows: PairRow[];
  result: TdcFromPairs | null;
  input: Parameters<typeof tdcPairs>[0] | null;
  error: CalcError | null;
}

interface Setting {
  slider: SliderInput | null;
  wheel: Gauge | null;
  dial: Gauge | null;
  dropMm: number | null;
}

/**
 * Pairs in the order taken, the nth before with the nth after. A swapped pair is left out of the mean and shown with
 * its error, so that the others still count.
 */
export function pairsWork(before: Reading[], after: Reading[], s: Setting): PairsWork {
  const rows: PairRow[] = Array.from({ length: Math.max(before.length, after.length) }, (_, n) => ({
    n: n + 1,
    before: before[n] ?? null,
    after: after[n] ?? null,
    middleDeg: null,
    uDeg: null,
    farOff: false,
    error: null
  }));
  const work: PairsWork = { rows, result: null, input: null, error: null };
  if (!s.wheel) return work;
  const common = { ...(s.slider ?? {}), wheel: s.wheel, ...(s.dial ? { dial: s.dial } : {}) };
  const drop = s.slider && s.dropMm !== null ? { dropMm: s.dropMm } : {};
  const good: PairRow[] = [];
  for (const row of rows) {
    if (!row.before || !row.after) continue;
    const pair = { beforeWheelDeg: row.before.value, afterWheelDeg: row.after.value, ...drop };
    const alone = tdcPairs({ ...common, pairs: [pair] });
    if (alone.ok) {
      row.middleDeg = alone.out.tdcWheelDeg;
      row.uDeg = alone.out.uDeg;
      good.push(row);
    } else if (alone.error.code === 'pair-swapped') {
      row.error = { ...alone.error, message: alone.error.message.replace('pair 1', `pair ${row.n}`) };
    } else work.error = alone.error;
  }
  if (good.length === 0 || work.error) return work;
  work.input = {
    ...common,
    pairs: good.map((r) => ({ beforeWheelDeg: r.before!.value, afterWheelDeg: r.after!.value, ...drop }))
  };
  const found = tdcPairs(work.input);
  if (found.ok) {
    work.result = found.out;
    markFarOff(good);
  } else work.error = found.error;
  return work;
}

/**
 * Pairs that lie further apart than four times their uncertainty: the wheel or pointer may have slipped. Of three or
 * more, the one farthest from the middle one; of two it cannot be said which, so both.
 */
function markFarOff(rows: PairRow[]): void {
  if (rows.length < 2) return;
  const first = rows[0]!.middleDeg!;
  const at = (r: PairRow) => wrap180(r.middleDeg! - first);
  if (rows.length === 2) {
    const apart = Math.abs(at(rows[1]!));
    const far = apart > 4 * Math.hypot(rows[0]!.uDeg!, rows[1]!.uDeg!);
    for (const r of rows) r.farOff = far;
    return;
  }
  const middle = rows.map(at).sort((a, b) => a - b)[rows.length >> 1]!;
  const worst = rows.reduce((a, b) => (Math.abs(at(b) - middle) > Math.abs(at(a) - middle) ? b : a));
  worst.farOff = Math.abs(at(worst) - middle) > 4 * worst.uDeg!;
}
