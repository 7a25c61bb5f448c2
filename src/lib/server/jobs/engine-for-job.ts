import type { Queryable } from '../db/pool.ts';
import { earlierMarks } from '../repositories/derived.ts';
import { engineById, type EngineWithVersion } from '../repositories/engines.ts';

/** The engine as a job sees it: its data sheet, and what earlier jobs found of its mark. */
export async function engineForJob(engineId: string, jobId: string, on?: Queryable): Promise<EngineWithVersion> {
  // one after the other: inside a transaction both go over one connection
  const engine = await engineById(engineId, on);
  const marks = await earlierMarks(jobId, on);
  return marks.length > 0 ? { ...engine, earlierMarks: marks } : engine;
}
