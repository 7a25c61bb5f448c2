import { unavailable } from '../errors.ts';

/** Who writes to one job is taken one after the other before a connection is asked for: a job that is held up holds one. */
const lines = new Map<string, { length: number; last: Promise<unknown> }>();
const MOST = 64;
const LONGEST_MS = 4000;

/** Runs `work` when everything asked for under this key before has ended. Refuses where too many wait, or for too long. */
export async function inTurn<T>(key: string, work: () => Promise<T>): Promise<T> {
  const line = lines.get(key) ?? { length: 0, last: Promise.resolve() };
  if (line.length >= MOST) throw unavailable(new Error(`too many wait for ${key}`), 'busy');
  lines.set(key, line);
  line.length++;
  const since = performance.now();
  const mine = line.last.then(() => {
    if (performance.now() - since > LONGEST_MS)
      throw unavailable(new Error(`the wait for ${key} was too long`), 'busy');
    return work();
  });
  line.last = mine.catch(() => {});
  try {
    return await mine;
  } finally {
    if (--line.length === 0) lines.delete(key);
  }
}
