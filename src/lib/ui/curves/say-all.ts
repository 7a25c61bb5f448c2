import type { Draft, JobSession } from '../job/session.svelte.ts';
import type { Said } from '../job/said.ts';
import type { Refused } from '../unsent/waiting.ts';

/** No slice of the work lasts much longer than this: what is pressed meanwhile is answered after it. */
const SLICE_MS = 12;
/** How many come into sight first; then four times as many, and so on. */
const FIRST_IN_SIGHT = 8;

/** Lets the page answer and draw before the work goes on. */
const breath = (): Promise<void> => new Promise((r) => setTimeout(r));

/**
 * Says many things at once, as the points of a file: all are written, or none. They are understood, and come into sight,
 * bit by bit, so that the page is never held up. Answers the refusal when one of them cannot be said.
 */
export async function sayAll(session: JobSession, drafts: readonly Draft[]): Promise<Refused | null> {
  session.refusal = null;
  const all: Said[] = [];
  const admitted = new Set<string>();
  let since = performance.now();
  for (const draft of drafts) {
    // one figure of a kind that is admitted stands for the others: the server judges each
    const kind = draft.kind === 'reading' ? `${draft.step} ${draft.slot}` : null;
    const said = session.understood(draft, kind === null || !admitted.has(kind));
    if ('code' in said) return (session.refusal = said);
    if (kind !== null) admitted.add(kind);
    all.push(said);
    if (performance.now() - since > SLICE_MS) {
      await breath();
      since = performance.now();
    }
  }
  const before = session.outbox.waiting.length;
  session.inSight = before + FIRST_IN_SIGHT;
  session.outbox.postTogether(all);
  for (let seen = FIRST_IN_SIGHT; seen < all.length; seen *= 4) {
    session.inSight = before + seen;
    await breath();
  }
  session.inSight = Infinity;
  return null;
}
