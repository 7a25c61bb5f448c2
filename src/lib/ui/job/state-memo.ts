import type { SchoolId, Works } from '$core/domains/list.ts';
import { jobState, type Domain, type JobEvent, type JobState, type RunSheet } from '$core/job/index.ts';
import type { Engine } from '$core/engine/engine.ts';

export type State = JobState<Works, SchoolId>;

const kept = new WeakMap<
  readonly JobEvent[],
  { sheet: RunSheet; engine: Engine; domains: readonly Domain[]; state: State }
>();

/**
 * The state of a log that is not changed in place, worked out once: while a page is made on the server its load and
 * its components ask for the same one. Nothing is kept longer than the log itself.
 */
export function stateOf(sheet: RunSheet, engine: Engine, log: readonly JobEvent[], domains: readonly Domain[]): State {
  const hit = kept.get(log);
  if (hit && hit.sheet === sheet && hit.engine === engine && hit.domains === domains) return hit.state;
  const state: State = jobState<Works, SchoolId>(sheet, engine, log, domains);
  kept.set(log, { sheet, engine, domains, state });
  return state;
}
