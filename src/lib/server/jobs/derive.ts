import { jobState, settledFigures, words } from '$core/job/index.ts';
import { sheetOf } from '$core/sheets/index.ts';
import { CORE_VERSION } from '$core/version.ts';
import { allJobIds, clearDerived, jobsBehind, writeDerived } from '../repositories/derived.ts';
import { engineForJob } from './engine-for-job.ts';
import { logOf } from '../repositories/events.ts';
import { jobById } from '../repositories/jobs.ts';

/** Works out a job's derived rows from its log and writes them. */
export async function derive(jobId: string): Promise<void> {
  const job = await jobById(jobId);
  const [engine, log] = await Promise.all([engineForJob(job.engineId, jobId), logOf(jobId)]);
  const sheet = sheetOf(job.sheet);
  if (!sheet) return;
  const state = jobState(sheet, engine, log);
  await writeDerived({
    jobId,
    throughSeq: log[log.length - 1]?.seq ?? 0,
    throughSheet: engine.sheetVersion,
    coreVersion: CORE_VERSION,
    line: words.floorLine(state, engine),
    ...state.progress,
    figures: settledFigures(state, engine)
  });
}

/**
 * Brings the derived rows of one engine, or of all, up to their logs before they are read, oldest job first: a later
 * one is judged with the figures of those before it.
 */
export async function freshen(engineId: string | null): Promise<void> {
  for (const id of await jobsBehind(engineId, CORE_VERSION)) await derive(id);
}

const waiting = new Set<string>();
let running: Promise<void> | null = null;

/**
 * Derives soon, outside the request that wrote the event: the reading is acknowledged first. Several events of a
 * job in a row are derived once. If the process dies in between, the rows are stale by their own sequence number
 * and are derived again when they are next read.
 */
export function deriveSoon(jobId: string): void {
  waiting.add(jobId);
  running ??= (async () => {
    while (waiting.size > 0) {
      const [id] = waiting;
      waiting.delete(id!);
      // a database that is away is met again by whoever reads the stale row
      await derive(id!).catch(() => {});
    }
    running = null;
  })();
}

export const derivedSettled = async (): Promise<void> => {
  while (running) await running;
};

/** Throws all derived rows away and works them out again from the logs. */
export async function rebuild(progress: (done: number, total: number) => void = () => {}): Promise<number> {
  const ids = await allJobIds();
  await clearDerived();
  for (const [n, id] of ids.entries()) {
    await derive(id);
    progress(n + 1, ids.length);
  }
  return ids.length;
}
