import type { Engine, SheetValue } from '../engine/engine.ts';
import type { Field } from '../engine/fields.ts';
import { partKinds } from '../tray/part-kinds.ts';
import { resultText } from './figure-text.ts';
import { settledFigures } from './figures.ts';
import { slotOf } from './run-sheet.ts';
import type { JobState } from './domain.ts';
import { partsTaken } from './taken.ts';
import type { LengthText } from './texts.ts';

/** A job as it is printed: everything another technician needs, in the order in which it is read. */
export interface Card {
  limits: { field: Field; value: SheetValue }[];
  readings: CardReading[];
  results: { label: string; value: string; verdict: string }[];
  schools: { title: string; way: string }[];
  /** parts taken from the tray that are on the job now */
  parts: string[];
  open: { what: string; why: string }[];
  done: number;
  total: number;
}

export interface CardReading {
  step: string;
  label: string;
  reading: JobState['readings'][number];
  replaced: string;
}

const verdictWord = { in: 'in', out: 'OUT', unsure: 'too close to call' };

export function jobCard(state: JobState, engine: Engine, len: LengthText): Card {
  const { words } = state.sheet;
  // what a step cannot be worked out without, and what its figures are judged by
  const asked = new Set(
    state.sheet.steps.flatMap((s) => [...s.values, ...s.slots.flatMap((x) => Object.values(x.limits ?? {}))])
  );
  const steps = new Map(state.sheet.steps.map((s) => [s.id, s]));
  return {
    limits: words.fields.flatMap((field) => {
      const value = engine.values[field.name];
      return value && (field.onCard || asked.has(field.name)) ? [{ field, value }] : [];
    }),
    readings: state.readings.map((reading) => {
      const step = steps.get(reading.step);
      const slot = step && slotOf(step, reading.slot);
      return {
        step: step?.title ?? reading.step,
        label: slot?.label ?? reading.slot,
        reading,
        replaced: reading.replaced.map((r) => `${r.text} (${r.reason})`).join(', ')
      };
    }),
    results: [
      ...settledFigures(state).map((f) => ({
        label: f.label,
        value: resultText(f, len),
        verdict: f.verdict ? verdictWord[f.verdict] : ''
      })),
      ...state.domains.flatMap((d) => d.card?.(state, len) ?? []).map((l) => ({ ...l, verdict: '' }))
    ],
    parts: partKinds.flatMap((k) => partsTaken(state.replayed, k).map((x) => `${x.name} (${k})`)),
    schools: [
      ...Object.entries(state.schools)
        .filter(([, s]) => s.chosen)
        .map(([id, s]) => {
          const school = words.schools[id];
          return { title: school?.title ?? id, way: school?.options.find((o) => o.id === s.option)?.name ?? s.option };
        }),
      ...answers(state)
    ],
    open: [
      ...state.steps
        .filter((s) => s.state === 'skipped')
        .map((s) => ({ what: s.step.title, why: `skipped: ${s.mark!.reason}` })),
      ...state.replayed.overrides.map((o) => ({
        what: steps.get(o.step)?.title ?? o.step,
        why: `overruled: ${o.reason}`
      })),
      ...state.replayed.remarks.map((r) => ({
        what: r.step ? (steps.get(r.step)?.title ?? 'Remark') : 'Remark',
        why: r.text
      }))
    ],
    ...state.progress
  };
}

/** What was answered with a word at the steps that ask so. */
function answers(state: JobState): Card['schools'] {
  return state.sheet.steps
    .flatMap((s) => s.choices)
    .flatMap((c) => {
      const chosen = c.options.find((o) => o.id === state.replayed.chosen.get(c.id));
      return chosen ? [{ title: c.question, way: chosen.label }] : [];
    });
}
