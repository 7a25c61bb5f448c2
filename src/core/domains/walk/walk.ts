import type { JobState, StepView } from '../../job/domain.ts';
import { list } from '../../job/texts.ts';
import { lastOf } from '../../job/readings.ts';

/** Something temporary that this job put on or in: whether it still is, and who took it off when. */
export interface WalkRow {
  flag: string;
  on: string;
  off: string;
  still: boolean;
  /** the step that took it off, and who did it; null while it is on, or where it was said by hand */
  by: { step: string; person: string; at: string } | null;
}

/** What runs is no thing that was left. */
const RUNNING = new Set(['engine-running', 'ignition-live', 'engine-cold', 'cam-fresh']);

/** Every temporary thing that this job had on or in, in the order of the run sheet; the walk before a start goes by it. */
export function walkRows(state: JobState): WalkRow[] {
  const { flags: words } = state.sheet.words;
  const asked = new Set(state.sheet.steps.filter((s) => s.surface === 'walk').flatMap((s) => s.mustBeOff));
  const rows = new Map<string, WalkRow>();
  const add = (flag: string): void => {
    const w = words[flag];
    if (!w || !(w.danger || asked.has(flag)) || RUNNING.has(flag) || rows.has(flag)) return;
    const off = state.steps.findLast((v) => v.mark?.state === 'done' && v.step.clears.includes(flag));
    const still = state.flags.has(flag);
    rows.set(flag, {
      flag,
      on: w.on,
      off: w.off,
      still,
      by: still || !off ? null : { step: off.step.title, person: off.mark!.by.name, at: off.mark!.at }
    });
  };
  for (const f of state.sheet.begins) add(f);
  for (const v of state.steps) if (v.mark?.state === 'done') for (const f of v.step.sets) add(f);
  for (const f of state.flags) add(f);
  return [...rows.values()];
}

/** Tools and parts given out against those counted back at a walk; null while neither was counted. */
export function counted(state: JobState, stepId: string): { out: number | null; back: number | null } {
  const mine = state.readings.filter((r) => r.step === stepId);
  return {
    out: lastOf(mine, 'given-out')?.value ?? null,
    back: lastOf(mine, 'counted-back')?.value ?? null
  };
}

export function walkHeadline(state: JobState, v: StepView): string | null {
  const { out, back } = counted(state, v.step.id);
  const left = walkRows(state).filter((r) => r.still);
  if (left.length) return `Not yet right: ${list(left.map((r) => r.on))}`;
  if (out !== null && back !== null && out === back) return `${back} given out, ${back} counted back: nothing is left`;
  return null;
}

export function walkOpen(state: JobState, v: StepView): string | null {
  const { out, back } = counted(state, v.step.id);
  if (out === null && back === null) return null;
  if (out === null || back === null)
    return out === null ? 'how many were given out was not counted' : 'nothing was counted back yet';
  if (back < out) return `${out - back} of the ${out} given out are missing: find them before anything turns`;
  return back > out ? 'more came back than was given out: count both again' : null;
}
