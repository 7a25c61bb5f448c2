import type { JobEvent } from '$core/job/index.ts';
import type { Refused, Waiting } from './waiting.ts';

/**
 * What became of something sent: heard; refused by the application, with its sentence; failed in the server, which trying
 * again may not mend; or not answered at all, which mends by itself, with what the server says of it when it does.
 */
export type Answer = { heard: JobEvent[] } | { refused: Refused } | { failed: Refused } | { away: string | null };

interface Body {
  ok: boolean;
  out?: JobEvent | JobEvent[];
  error?: Refused;
}

/** Sends what is said together to its job, under the name of who typed it. */
export async function send(together: readonly Waiting[]): Promise<Answer> {
  const { jobId, shown } = together[0]!;
  const inputs = together.map((w) => w.input);
  const body = together[0]!.group ? { events: inputs } : inputs[0]!;
  let r: Response;
  try {
    r = await fetch(`/api/jobs/${jobId}/events`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ...body, by: shown.by.id }),
      signal: AbortSignal.timeout(15_000)
    });
  } catch {
    return { away: null };
  }
  const answer = (await r.json().catch(() => null)) as Body | null;
  const said = answer?.error && { code: answer.error.code, message: answer.error.message };
  if (r.status === 500)
    return {
      failed: {
        code: 'server-failed',
        message: `The server failed on it (${said?.message ?? 'error 500'}). It was tried three times. It may be tried again later, saved as a file, or dropped.`
      }
    };
  // anything but an answer of the application itself mends: a gateway, a restart, the database, a page of somebody else's
  if (r.status > 500 || r.status === 408 || r.status === 429 || !answer) return { away: said?.message ?? null };
  return answer.ok ? { heard: [answer.out!].flat() } : { refused: said! };
}
