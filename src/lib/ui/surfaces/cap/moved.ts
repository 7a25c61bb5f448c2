import type { Reading } from '$core/job/replayed.ts';
import type { JobSession } from '../../job/session.svelte.ts';

/** Two leads that stood in each other's place: both readings are amended, and say why. */
export function exchange(session: JobSession, a: Reading | undefined, b: Reading | undefined): void {
  if (!a || !b) return;
  const put = (r: Reading, cylinder: number) =>
    session.say({
      kind: 'amend',
      replaces: r.id,
      basis: r.basis,
      reason: 'moved on the drawing of the cap',
      text: String(cylinder),
      defaultUnit: '',
      gaugeId: r.gauge?.id ?? null
    });
  if (put(a, b.value) === null) put(b, a.value);
}
