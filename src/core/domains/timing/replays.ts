import type { JobEvent } from '../../job/events.ts';
import type { Replayed } from '../../job/replayed.ts';
import { isOf, type Step } from '../../job/run-sheet.ts';

/**
 * A bias that somebody chose stays in the housing until the strobe sets it, also where its step is opened again. A flash seen at
 * rest was seen with the ignition on: it stays on until a step or somebody takes it off (IL.25).
 */
export function replays(r: Replayed, e: JobEvent, step?: Step): void {
  if (e.kind === 'done' && step?.surface === 'bias' && (r.chosen.get('bias') ?? 'none') !== 'none')
    r.flags.set('bias-on', true);
  if (e.kind !== 'reading' || !isOf('fires-spark', e.slot)) return;
  r.flags.set('ignition-live', true);
  r.flags.set('battery-isolated', false);
}
