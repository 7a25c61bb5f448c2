import type { Reading } from '$core/job/replayed.ts';
import type { JobSession } from '../job/session.svelte.ts';

/** Two readings that stand in each other's place: both are amended, each with what the other says, and keep why. */
export function exchange(session: JobSession, a: Reading, b: Reading, reason: string): void {
  const put = (at: Reading, as: Reading) =>
    session.say({
      kind: 'amend',
      replaces: at.id,
      basis: at.basis,
      reason,
      text: as.text,
      defaultUnit: as.unit,
      gaugeId: as.gauge?.id ?? null
    });
  if (put(a, b) === null) put(b, a);
}
