import type { JobEvent } from '../../job/events.ts';
import type { Replayed } from '../../job/replayed.ts';
import { isOf } from '../../job/run-sheet.ts';

/** A flash seen at rest was seen with the ignition on: it stays on until a step or somebody takes it off (IL.25). */
export function replays(r: Replayed, e: JobEvent): void {
  if (e.kind !== 'reading' || !isOf('fires-spark', e.slot)) return;
  r.flags.set('ignition-live', true);
  r.flags.set('battery-isolated', false);
}
