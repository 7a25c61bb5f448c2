import { dataSheetFields } from '../sheets/data-sheet.ts';
import { partKinds } from './run-sheet.ts';
import type { SchoolId } from '../sheets/school-ways.ts';
import { schoolOf } from '../sheets/schools.ts';
import type { Engine, SheetValue } from '../engine/engine.ts';
import { partsTaken } from './taken.ts';
import { resultText } from './figure-text.ts';
import { settledFigures } from './figures.ts';
import type { JobState } from './state.ts';
import type { LengthText } from './words.ts';

/** A job as it is printed: everything another technician needs, in the order in which it is read. */
export interface Card {
  limits: { label: string; value: SheetValue }[];
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

/** The data-sheet values that say what was worked to: settings, limits and what the sums stand on. */
const SHOWN = [
  'firingOrder',
  'runningDirection',
  'strokeMm',
  'rodMm',
  'rotorDirection',
  'ratio',
  'staticBtdc',
  'staticMinBtdc',
  'staticMaxBtdc',
  'tdcWithinDeg',
  'backlashDeg',
  'clampTorqueNm',
  'idleRpm'
];

const verdictWord = { in: 'in', out: 'OUT', unsure: 'too close to call' };

export function jobCard(state: JobState, engine: Engine, len: LengthText): Card {
  const fields = new Map(dataSheetFields.map((f) => [f.name, f]));
  const steps = new Map(state.sheet.steps.map((s) => [s.id, s]));
  return {
    limits: [...new Set([...SHOWN, ...Object.keys(state.sheet.labels ?? {})])]
      .filter((n) => engine.values[n])
      .map((n) => ({
        label: fields.get(n)!.label,
        value: engine.values[n]!
      })),
    readings: state.readings.map((reading) => {
      const step = steps.get(reading.step);
      const slot = step?.slots.find((s) => reading.slot.startsWith(s.slot));
      return {
        step: step?.title ?? reading.step,
        label: slot?.label ?? reading.slot,
        reading,
        replaced: reading.replaced.map((r) => `${r.text} (${r.reason})`).join(', ')
      };
    }),
    results: settledFigures(state, engine)
      .map((f) => ({ label: f.label, value: resultText(f, len), verdict: f.verdict ? verdictWord[f.verdict] : '' }))
      .concat(housing(state, len)),
    parts: partKinds.flatMap((k) => partsTaken(state.replayed, k).map((x) => `${x.name} (${k})`)),
    schools: [
      ...Object.entries(state.schools)
        .filter(([, s]) => s.chosen)
        .map(([id, s]) => {
          const school = schoolOf(id as SchoolId);
          return { title: school.title, way: school.options.find((o) => o.id === s.option)?.name ?? s.option };
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

/** The turn that each reading outside the limits led to. */
function housing(state: JobState, len: LengthText): Card['results'] {
  const rows = state.timing['strobe']?.rows ?? [];
  return rows
    .filter((r) => r.verdict?.state === 'out' && r.move && r.move.turn !== 'none')
    .map((r) => ({
      label: `Housing turned after reading ${r.n}`,
      value: `${r.move!.housingDeg.toFixed(2)}° ${r.move!.turn === 'cw' ? 'clockwise' : 'anticlockwise'}${r.move!.rimMm === undefined ? '' : `, ${len(r.move!.rimMm, 2)} at the rim`}`,
      verdict: ''
    }));
}
