import type { JobEvent } from '$core/job/index.ts';
import type { Queryable } from '../db/pool.ts';
import { logOf } from '../repositories/events.ts';

/** Logs that were asked for lately. A log only grows, so what is kept of one is never wrong, only short. */
const kept = new Map<string, readonly JobEvent[]>();
const MOST = 200;
const NOTHING: readonly JobEvent[] = [];

/** What is known of a log without asking. */
export const knownLog = (jobId: string): readonly JobEvent[] => kept.get(jobId) ?? NOTHING;

/** A log that was known so far with what came since; the very same where nothing did. */
export function grown(jobId: string, known: readonly JobEvent[], news: readonly JobEvent[]): JobEvent[] {
  const log = news.length === 0 ? known : [...known, ...news];
  // numbers run without gaps from one; a log that does not is never kept
  if (log.length > 0 && log[log.length - 1]!.seq === log.length) {
    kept.delete(jobId);
    kept.set(jobId, log);
    if (kept.size > MOST) kept.delete(kept.keys().next().value!);
  }
  return log as JobEvent[];
}

/**
 * The log of a job at least through a committed sequence number: what is known of it already, and from the database what
 * came since. What a transaction writes after that number is not in it.
 */
export async function logThrough(jobId: string, lastSeq: number, on?: Queryable): Promise<JobEvent[]> {
  const known = knownLog(jobId);
  return grown(jobId, known, known.length >= lastSeq ? [] : await logOf(jobId, known.length, on, lastSeq));
}
