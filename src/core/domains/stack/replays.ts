import type { JobEvent } from '../../job/events.ts';
import type { Replayed } from '../../job/replayed.ts';

/** Another gasket is another depth: what was measured with the one before no longer holds (IL.36). */
export function replays(r: Replayed, e: JobEvent): void {
  if (e.kind !== 'reading' || e.slot !== 'gasket') return;
  for (const f of ['engagement-ok', 'bottoming-ok']) if (r.flags.get(f)) r.flags.set(f, false);
}
