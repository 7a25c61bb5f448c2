import type { Engine } from '../engine/engine.ts';
import { surfaceOf, type JobState, type StepView } from './domain.ts';
import { labelOf } from './run-sheet.ts';
import { valuesAsked } from './state.ts';
import { tallyHeadline } from './tally.ts';
import { list, lower, several, type LengthText } from './texts.ts';

export * from './texts.ts';

/** The one sentence at the top of the work surface: a finding or an instruction, never the name of the screen. */
export function headline(state: JobState, engine: Engine, v: StepView, len: LengthText): string {
  const lacks = valuesAsked(v, engine, state.replayed.chosen);
  if (lacks.length > 0)
    return lacks.length > 1
      ? `Enter ${lacks.length} values of the data sheet`
      : `Enter, with its source: ${lower(labelOf(state.sheet, lacks[0]!))}`;
  return (
    surfaceOf(state.domains, v.step.surface).headline?.(state, v, len) ??
    answered(state, v) ??
    tallyHeadline(state, v) ??
    v.step.say
  );
}

/** What was taken at a step so far, as its trade counts it: `3 pairs taken`, else `2 readings`; empty before anything was. */
export function takenText(state: JobState, { step }: StepView): string {
  const n = state.readings.filter((r) => r.step === step.id).length;
  return surfaceOf(state.domains, step.surface).taken?.(state) ?? (n ? several(n, 'reading') : '');
}

/** What a step found that is told by words alone, once all of them are said; null before, and where they are no findings. */
function answered(state: JobState, { step }: StepView): string | null {
  const told = step.choices
    .filter((c) => c.carries)
    .map((c) => {
      const option = c.options.find((o) => o.id === state.replayed.chosen.get(c.id));
      return option && `${c.question} ${option.label}`;
    });
  if (told.length === 0 || told.includes(undefined)) return null;
  return told.map((t, k) => (k === 0 ? t : lower(t!))).join('; ');
}

export interface FloorLine {
  next: string;
  waits: 'ready' | 'helper' | 'value' | 'lock' | 'signed' | 'broken';
  waitsText: string;
  rank: number;
}

/** A job as a line of the floor: what comes next and what it waits for; `rank` sorts what can be done now first. */
export function floorLine(state: JobState, engine: Engine): FloorLine {
  if (state.current === null)
    return { next: 'Nothing left to do: print the card', waits: 'signed', waitsText: 'done', rank: 4 };
  const v = state.steps[state.current]!;
  const next = headline(state, engine, v, (mm, d = 2) => `${mm.toFixed(d)} mm`);
  const lacks = valuesAsked(v, engine, state.replayed.chosen);
  if (lacks.length > 0) {
    const what = list(lacks.map((n) => lower(labelOf(state.sheet, n))));
    return { next, waits: 'value', waitsText: `waits for the data sheet: ${what}`, rank: 2 };
  }
  if (v.state === 'blocked') {
    const { flags } = state.sheet.words;
    const needs = [...v.missing.map((f) => flags[f]!.off), ...v.stillOn.map((f) => flags[f]!.on)];
    return { next, waits: 'lock', waitsText: `held: ${list(needs)}`, rank: 3 };
  }
  const lost = [...state.fallen.values()].find((f) => f.step === v.step.id);
  if (lost) return { next, waits: 'lock', waitsText: `taken back: ${lost.what}`, rank: 1 };
  if (v.step.helper === 'yes') return { next, waits: 'helper', waitsText: 'needs a helper', rank: 1 };
  return { next, waits: 'ready', waitsText: 'ready: you, at the engine', rank: 0 };
}

/** The line of a job that cannot be worked out: it takes nothing else down, and says so where it stands. */
export const brokenLine = (why: string): FloorLine => ({
  next: 'This job cannot be worked out',
  waits: 'broken',
  waitsText: why,
  rank: 5
});
