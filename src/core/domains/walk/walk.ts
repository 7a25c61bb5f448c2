import type { JobState } from '../../job/domain.ts';
import { list } from '../../job/texts.ts';

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

/** What is still on or in holds the headline; the counts speak for themselves once nothing is. */
export function walkHeadline(state: JobState): string | null {
  const left = walkRows(state).filter((r) => r.still);
  return left.length ? `Not yet right: ${list(left.map((r) => r.on))}` : null;
}
