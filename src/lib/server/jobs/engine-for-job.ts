import type { Queryable } from '../db/pool.ts';
import { earlierMarks } from '../repositories/derived.ts';
import { engineById, type EngineWithVersion } from '../repositories/engines.ts';

/** The engine as a job sees it: its data sheet, and what earlier jobs found of its mark. */
export async function engineForJob(engineId: string, jobId: string, on?: Queryable): Promise<EngineWithVersion> {
  const [engine, marks] = await Promise.all([engineById(engineId, on), earlierMarks(jobId, on)]);
  return marks.length > 0 ? { ...engine, earlierMarks: marks } : engine;
}
