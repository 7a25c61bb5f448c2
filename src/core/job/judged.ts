import { verdict, type Verdict } from '../calculations/verdict/verdict.ts';
import { numberOf, type Engine } from '../engine/engine.ts';
import type { GaugeKind } from '../tray/gauge-kinds.ts';
import { formatValue, timingLimits } from '../units/format.ts';
import { baseUnit, unitSign, type Quantity } from '../units/units.ts';
import type { SettledFigure } from './settled.ts';
import { fixedU, handUWithMore, stepU } from '../calculations/gauge/hand.ts';
import { sampleSd } from '../numerics/statistics.ts';
import { countedOf, gaugeOfAll, oneReading, settledOf, type Disagree, type Settled } from './readings.ts';
import type { Read } from './setting-advice.ts';
import type { Reading } from './replayed.ts';
import type { Slot, Step } from './run-sheet.ts';
import { ofLastSetting } from './settings.ts';
import type { Correction, JobState, StepView } from './domain.ts';
import {
  capital,
  judgedBy,
  lengthLimits,
  lengthPm,
  limitsIn,
  lower,
  plusMinus,
  verdictOpen,
  type LengthText
} from './texts.ts';

/** A measured figure with the limits of the data sheet it is judged by. Base units of its quantity; u is one standard uncertainty. */
export interface Judged extends Settled {
  min: number | null;
  max: number | null;
  target: number | null;
  /** null where the data sheet has no limit: then nothing is said of it */
  verdict: Verdict | null;
  /** the figure as it was read, where the mark's error is taken off, and the share of its doubt that is the mark's */
  raw?: number;
  uMark?: number;
  /** read on a mark that was never proved: not judged */
  unproved?: true;
}

/** What the data sheet says of a slot's limits; null where it says nothing. */
export function limitsOf(engine: Engine, slot: Slot): Pick<Judged, 'min' | 'max' | 'target'> {
  const value = (name: string | undefined) => (name === undefined ? null : (numberOf(engine, name) ?? null));
  return { min: value(slot.limits?.least), max: value(slot.limits?.most), target: value(slot.limits?.target) };
}

/** A figure against a slot's limits; not judged without any, nor on a mark that was never proved. */
export function judge(engine: Engine, slot: Slot, figure: Settled, mark: Correction | null = null): Judged {
  const limits = limitsOf(engine, slot);
  const { min, max } = limits;
  if (slot.onMark && !mark) return { ...figure, ...limits, verdict: null, unproved: true };
  const on = slot.onMark ? offMark(figure, mark!, slot.gauge) : figure;
  return { ...on, ...limits, verdict: min === null && max === null ? null : settledVerdict(on, min, max) };
}

/** A figure with the mark's error taken off, and the mark's doubt in its own. */
export const offMark = <F extends Settled>(
  figure: F,
  mark: Correction,
  gauge: GaugeKind
): F & { raw: number; uMark: number } => ({
  ...figure,
  value: figure.value - mark.errorDeg,
  u: Math.hypot(figure.u, markU(mark, gauge)),
  raw: figure.value,
  uMark: markU(mark, gauge)
});
/** The mark's own doubt in a figure: less of it where the wheel was read. */
export const markU = (mark: Correction, gauge: GaugeKind): number =>
  gauge === 'wheel' ? (mark.uWheelDeg ?? mark.uDeg) : mark.uDeg;

/** A verdict on a settled figure; readings that disagree, or one that lies apart from the others, are never in. */
export function settledVerdict(f: Settled, min: number | null, max: number | null): Verdict {
  const v = verdict(f.value, f.u, min, max, f.scatterUnknown);
  return (f.guessed || f.disagree) && v.state === 'in' ? { ...v, state: 'unsure' } : v;
}

/**
 * The figure that the readings of a slot make, as the slot says they combine, judged by its limits; null without any.
 * @param mark the error of the mark they were read on, where they were; null: never proved
 */
export function judgedSlot(
  engine: Engine,
  readings: readonly Reading[],
  slot: Slot,
  mark: Correction | null = null
): Judged | null {
  const mine = ofLastSetting(readings.filter((r) => r.slot === slot.slot));
  if (mine.length === 0) return null;
  const alone = aloneOf(engine, slot, mine);
  return judge(
    engine,
    slot,
    alone ? { ...oneReading(alone), n: mine.length } : settledOf(mine, slot.slot, slot.seekU)!,
    mark
  );
}

/** The reading of a slot that speaks by itself; null where the slot's readings are one figure together. */
export function aloneOf(engine: Engine, slot: Slot, mine: readonly Reading[]): Reading | null {
  if (slot.combine === 'last') return mine[mine.length - 1]!;
  return slot.combine === 'worst' ? worstOf(engine, slot, mine) : null;
}

const RANK = { in: 0, unsure: 1, out: 2 } as const;

/**
 * Where each reading is a place of its own, the worst judged speaks for all: out before too close to call (which a gauge that
 * nobody named always is) before in, and of two alike the one further beyond the limits, or nearer to them.
 */
function worstOf(engine: Engine, slot: Slot, mine: readonly Reading[]): Reading {
  const { min, max } = limitsOf(engine, slot);
  const beyond = ({ value }: Reading) => Math.max((min ?? -Infinity) - value, value - (max ?? Infinity));
  const rank = (r: Reading) => RANK[judge(engine, slot, { ...oneReading(r), n: 1 }).verdict?.state ?? 'in'];
  const worse = (a: Reading, b: Reading) => rank(a) - rank(b) || beyond(a) - beyond(b);
  return mine.reduce((worst, r) => (worse(r, worst) >= 0 ? r : worst));
}

/** The doubt of a figure without that of the mark it was read on. */
export const settledU = (j: Judged): number =>
  j.uMark === undefined ? j.u : Math.sqrt(Math.max(0, j.u ** 2 - j.uMark ** 2));

/** A judged figure as advice on a setting needs it: which share of its doubt further readings narrow. */
export function asRead(readings: readonly Reading[], slot: Slot, j: Judged): Read {
  const counted = countedOf(readings.filter((r) => r.slot === slot.slot));
  const gauge = gaugeOfAll(counted, slot.seekU);
  const values = counted.map((r) => r.value);
  const rest = Math.hypot(fixedU(gauge), j.uMark ?? 0);
  const uHand = Math.sqrt(Math.max(0, j.u ** 2 - rest ** 2));
  const uMore = Math.hypot(Math.max(handUWithMore(sampleSd(values), values.length, gauge), stepU(gauge)), rest);
  return { value: j.value, u: j.u, n: j.n, uHand, uMore };
}

/** How many readings a figure stands for, in words after its label; nothing where one stands for itself. */
export const howMany = (slot: Slot, n: number): string =>
  n < 2 ? '' : slot.combine === 'mean' ? `, mean of ${n}` : slot.combine === 'worst' ? `, worst of ${n}` : '';

/** The slots of a step that are judged by themselves, with what was read of each. */
export const judgedRows = (state: JobState, step: Step): { slot: Slot; judged: Judged | null }[] =>
  step.slots
    .filter((s) => s.limits || s.figure)
    .map((slot) => ({ slot, judged: judgedSlot(state.engine, state.readings, slot, state.correction) }));

const decimals: Partial<Record<Quantity, number>> = { length: 3, speed: 0, count: 0, torque: 1, pressure: 1 };

/** A judged figure in words: value and ± in the unit of whoever reads it. */
export function judgedText(slot: Slot, j: Judged, len: LengthText): string {
  if (slot.quantity === 'length') return lengthPm(len, j.value, j.u);
  const d = decimals[slot.quantity] ?? 2;
  return `${formatValue(j.value, baseUnit(slot.quantity), d).replace(/(\d)(\D*)$/, `$1 ${plusMinus(j.u, d)}$2`)}`;
}

/**
 * The figure as it is written down, when that would be judged otherwise than the whole one; null where it would not. Sums are
 * made with every digit, and what is shown is shorter.
 */
export function roundedOtherwise(slot: Slot, j: Judged): number | null {
  if (!j.verdict) return null;
  const places = 10 ** (decimals[slot.quantity] ?? 2);
  const shown = Math.round(j.value * places) / places;
  return settledVerdict({ ...j, value: shown }, j.min, j.max).state === j.verdict.state ? null : shown;
}

/** Readings that lie further apart than they may, and what to do about it. */
export const disagreeText = (what: string, { apart, times }: Disagree, slot: Pick<Slot, 'quantity'>): string => {
  const unit = baseUnit(slot.quantity);
  const far = formatValue(apart, unit, decimals[slot.quantity] ?? 2);
  return `${what}: the readings lie ${far} apart, ${times.toFixed(0)} times what this hand scatters; something moved between them: look at gauge and set-up, read once more`;
};

/** The ± of a standard uncertainty in the unit of whoever reads it. */
export function pmText(slot: Slot, u: number, len: LengthText): string {
  if (slot.quantity === 'length') return `± ${len(2 * u, 3)}`;
  return `${plusMinus(u, Math.max(1, decimals[slot.quantity] ?? 2))}${unitSign[baseUnit(slot.quantity)]}`;
}

/** Its limits in words. */
export function limitsText(slot: Slot, j: Pick<Judged, 'min' | 'max'>, len: LengthText): string {
  if (slot.quantity === 'length') return lengthLimits(len, j.min, j.max, 2);
  if (slot.quantity === 'timing') return timingLimits(j.min, j.max);
  return limitsIn(unitSign[baseUnit(slot.quantity)], j.min, j.max);
}

/** The finding of a judged step: the last figure read, and how it was judged. */
export function judgedHeadline(state: JobState, v: StepView, len: LengthText): string | null {
  const row = judgedRows(state, v.step).findLast((x) => x.judged);
  if (!row?.judged) return null;
  const said = `${capital(row.slot.label)}${row.slot.combine === 'worst' ? howMany(row.slot, row.judged.n) : ''}: ${judgedText(row.slot, row.judged, len)}`;
  return row.judged.verdict
    ? `${said}: ${judgedBy(row.judged.verdict.state, limitsText(row.slot, row.judged, len))}`
    : row.slot.limits
      ? `${said}: not judged, no limit on the data sheet`
      : said;
}

/** What its figures leave open; nothing where they are findings. */
export function judgedOpen(state: JobState, v: StepView): string | null {
  if (v.step.finds) return null;
  for (const { slot, judged } of judgedRows(state, v.step)) {
    const open = judged?.disagree
      ? disagreeText(lower(slot.label), judged.disagree, slot)
      : verdictOpen(lower(slot.label), judged?.verdict?.state);
    if (open !== null) return open;
  }
  return null;
}

const kindOf: Partial<Record<Quantity, SettledFigure['kind']>> = {
  length: 'length',
  timing: 'timing',
  speed: 'speed',
  angle: 'angle',
  bearing: 'angle'
};

/** Figures that slots settle by themselves, in the order of the run sheet; a slot that several steps ask for counts once. */
export function judgedFigures(state: JobState): SettledFigure[] {
  const out = new Map<string, SettledFigure>();
  for (const step of state.sheet.steps)
    for (const slot of step.slots) {
      const judged =
        slot.figure === undefined ? null : judgedSlot(state.engine, state.readings, slot, state.correction);
      if (!judged || out.has(slot.figure!)) continue;
      const { value, u, n, min, max, target } = judged;
      out.set(slot.figure!, {
        key: slot.figure!,
        label: capital(slot.label),
        value,
        u,
        kind: kindOf[slot.quantity] ?? 'plain',
        verdict: judged.verdict?.state ?? null,
        limits: { min, max },
        proved: true,
        calc: 'gauge.combine',
        input: { readings: n, min, max, target, unit: baseUnit(slot.quantity) },
        output: { value, u }
      });
    }
  return [...out.values()];
}
