import type { Engine, SheetValue } from '../engine/engine.ts';
import type { Field } from '../engine/fields.ts';
import { partKinds } from '../tray/part-kinds.ts';
import { figureLimits, resultText } from './figure-text.ts';
import { settledFigures } from './figures.ts';
import { overruledText } from './overruled-text.ts';
import { ruleOf } from './rules.ts';
import { replacedText } from './replayed.ts';
import { slotOf } from './run-sheet.ts';
import type { JobState } from './domain.ts';
import { partsTaken } from './taken.ts';
import type { SettledFigure } from './settled.ts';
import { capital, type LengthText } from './texts.ts';

/** A job as it is printed: everything another technician needs, in the order in which it is read. */
export interface Card {
  limits: { field: Field; value: SheetValue }[];
  readings: CardReading[];
  /** what was settled, how it was judged, and by which limits; both empty where it was not judged */
  results: { label: string; value: string; verdict: string; limits: string }[];
  schools: { title: string; way: string }[];
  /** parts taken from the tray that are on the job now */
  parts: string[];
  open: { what: string; why: string }[];
  photos: { id: string; step: string; text: string; by: string; at: string }[];
  /** states that were said by hand, with what was seen and by whom */
  said: { state: string; seen: string; by: string }[];
  /** steps as they were done: by whom and when; at, as it was logged */
  steps: { title: string; state: 'done' | 'skipped'; by: string; at: string }[];
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

/** It would be judged, and the data sheet has nothing to judge it by. */
const isOpen = (f: SettledFigure): boolean =>
  typeof f.limits === 'object' && f.limits.min === null && f.limits.max === null;

/** A verdict with the limits that gave it. */
function judgedAs(f: SettledFigure, len: LengthText): string {
  const limits = figureLimits(f, len);
  return `${verdictWord[f.verdict!]}${limits ? `, limits ${limits}` : ''}`;
}

export function jobCard(state: JobState, engine: Engine, len: LengthText): Card {
  const { words } = state.sheet;
  // what a step cannot be worked out without, and what its figures are judged by
  const asked = new Set(
    state.sheet.steps.flatMap((s) => [
      ...s.values,
      ...Object.values(s.valuesBy?.values ?? {}).flat(),
      ...s.slots.flatMap((x) => Object.values(x.limits ?? {}))
    ])
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
        replaced: reading.replaced.map((r) => `${replacedText(r)} (${r.reason})`).join(', ')
      };
    }),
    results: [
      ...settledFigures(state).map((f) => ({
        label: f.label,
        value: resultText(f, len),
        verdict: f.verdict ? verdictWord[f.verdict] : isOpen(f) ? 'not judged' : '',
        limits: figureLimits(f, len) ?? ''
      })),
      ...state.domains.flatMap((d) => d.card?.(state, len) ?? []).map((l) => ({ ...l, verdict: '', limits: '' }))
    ],
    photos: state.replayed.photos.map((p) => ({
      id: p.photo,
      step: steps.get(p.step)?.title ?? p.step,
      text: p.text,
      by: p.by.name,
      at: p.at
    })),
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
    said: [...state.replayed.seen].map(([flag, e]) => ({
      state: words.flags[flag]?.[e.on ? 'on' : 'off'] ?? flag,
      seen: e.seen!,
      by: e.by.name
    })),
    steps: state.steps.flatMap(({ step, mark }) =>
      mark ? [{ title: step.title, state: mark.state, by: mark.by.name, at: mark.at }] : []
    ),
    open: [
      ...state.replayed.happened.map((e) => {
        const rule = ruleOf(state.sheet, e.rule);
        return {
          what: rule?.bar ?? e.rule,
          why: `it happened${e.note ? ` (${e.note})` : ''}. ${rule?.ifItHappened ?? ''}`
        };
      }),
      ...[...state.fallen].map(([f, { what }]) => ({ what: capital(stateWord(state, f)), why: `taken back: ${what}` })),
      ...[...state.onWord].map(([f, why]) => ({ what: capital(stateWord(state, f)), why: `with a reason: ${why}` })),
      ...stillToDo(state, len),
      ...state.steps
        .filter((s) => s.state === 'skipped')
        .map((s) => ({ what: s.step.title, why: `skipped: ${s.mark!.reason}` })),
      ...state.replayed.overrides.map((o) => ({
        what: steps.get(o.step)?.title ?? o.step,
        why: overruledText(state.sheet, o)
      })),
      ...state.replayed.remarks.map((r) => ({
        what: r.step ? (steps.get(r.step)?.title ?? 'Remark') : 'Remark',
        why: r.text
      }))
    ],
    ...state.progress
  };
}

/** A state that a step gave, as the bench says it. */
function stateWord(state: JobState, flag: string): string {
  const w = state.sheet.words.flags[flag]!;
  return (w.proof?.off ?? w.danger) ? w.off : w.on;
}

/** What a job that is not closed leaves: steps to go, and figures that are out or too close to call. */
function stillToDo(state: JobState, len: LengthText): Card['open'] {
  const left = state.steps.filter((s) => s.state !== 'done' && s.state !== 'skipped' && s.state !== 'not-needed');
  const unsettled = settledFigures(state).filter((f) => f.verdict === 'out' || f.verdict === 'unsure');
  return [
    ...(left.length && !state.closed
      ? [{ what: `${left.length} step${left.length === 1 ? '' : 's'} to go`, why: `next: ${left[0]!.step.title}` }]
      : []),
    ...unsettled.map((f) => ({ what: f.label, why: judgedAs(f, len) }))
  ];
}

/** What was answered with a word at the steps that ask so. */
function answers(state: JobState): Card['schools'] {
  // what is chosen in a drawing or table stands among the results of its trade
  const asked = state.sheet.steps.flatMap((s) => s.choices.filter((c) => !s.choicesInside || c.proves));
  // what several steps ask is answered once
  const said = [...new Map(asked.map((c) => [c.id, c])).values()].flatMap((c) => {
    const chosen = c.options.find((o) => o.id === state.replayed.chosen.get(c.id));
    return chosen ? [{ c, chosen }] : [];
  });
  const looks = said.filter((x) => x.c.proves);
  const bad = looks.filter((x) => x.chosen.holds).map((x) => `${x.c.question}: ${x.chosen.label}`);
  return [
    ...said.filter((x) => !x.c.proves).map((x) => ({ title: x.c.question, way: x.chosen.label })),
    ...(looks.length === 0
      ? []
      : [
          {
            title: 'Looked at, not measured',
            way: `${looks.length - bad.length} of ${looks.length} as they should be${bad.length ? `; ${bad.join('; ')}` : ''}`
          }
        ])
  ];
}
