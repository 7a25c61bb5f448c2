import type { Engine } from '$core/engine/engine.ts';
import type { JobEvent } from '$core/job/index.ts';

/** What was last known of a job on this device, for a page that has to do without the server. */
export interface LastKnown {
  log: JobEvent[];
  engine: Engine;
  at: string;
}

const STORE = 'nemrik-last';
const SOON_MS = 1200;
const addressOf = (jobId: string) => `/last-known/${jobId}`;
const waiting = new Map<string, ReturnType<typeof setTimeout>>();

/** Keeps the state of a job soon; of many changes in a row only the last is written. */
export function keepState(jobId: string, state: () => Omit<LastKnown, 'at'>): void {
  if (typeof caches === 'undefined') return;
  clearTimeout(waiting.get(jobId));
  waiting.set(
    jobId,
    setTimeout(() => {
      waiting.delete(jobId);
      const last: LastKnown = { ...state(), at: new Date().toISOString() };
      const body = new Response(JSON.stringify(last), { headers: { 'content-type': 'application/json' } });
      // a full store takes nothing: then the page as it was loaded is what is last known
      void caches
        .open(STORE)
        .then((c) => c.put(addressOf(jobId), body))
        .catch(() => {});
    }, SOON_MS)
  );
}

export async function keptState(jobId: string): Promise<LastKnown | null> {
  if (typeof caches === 'undefined') return null;
  try {
    const found = await (await caches.open(STORE)).match(addressOf(jobId));
    return found ? ((await found.json()) as LastKnown) : null;
  } catch {
    return null;
  }
}
