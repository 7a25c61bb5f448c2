import { manifests } from '$core/domains/all.ts';
import { judgedWith } from '$core/job/history.ts';
import type { Queryable } from '../db/pool.ts';
import { engineBefore, type EngineBefore } from '../repositories/derived.ts';
import type { EngineWithVersion } from '../repositories/engines.ts';

/** Figures of earlier jobs that a later one is judged with, as the trades declare them. */
export const EARLIER = judgedWith(manifests);
/** The same, with the mark's error, of which every earlier one is kept and not only the newest. */
export const JUDGED_WITH: readonly string[] = [...EARLIER, 'mark'];

/** The engine as a job sees it: its data sheet, what earlier jobs found of its mark, and their newest figures. */
export const seenByJob = ({ engine, marks, figures }: EngineBefore): EngineWithVersion => ({
  ...engine,
  ...(marks.length > 0 ? { earlierMarks: marks } : {}),
  earlier: figures
});

export const engineForJob = async (engineId: string, jobId: string, on?: Queryable): Promise<EngineWithVersion> =>
  seenByJob(await engineBefore(engineId, jobId, EARLIER, on));
