import { unavailable } from '../errors.ts';

/** Who writes to one job is taken one after the other before a connection is asked for: a job that is held up holds one. */
const lines = new Map<string, { length: number; last: Promise<unknown> }>();
const MOST = 64;

/** Runs `work` when everything asked for under this key before has ended. Refuses at once where too many wait. */
export async function inTurn<T>(key: string, work: () => Promise<T>): Promise<T> {
  const line = lines.get(key) ?? { length: 0, last: Promise.resolve() };
  if (line.length >= MOST) throw unavailable(new Error(`too many wait for ${key}`), 'busy');
  lines.set(key, line);
  line.length++;
  const mine = line.last.then(work, work);
  line.last = mine.catch(() => {});
  try {
    return await mine;
  } finally {
    if (--line.length === 0) lines.delete(key);
  }
}
