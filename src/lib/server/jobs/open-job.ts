import { randomUUID } from 'node:crypto';
import { carriedOver, type Carried } from '$core/job/carry.ts';
import type { JobEvent, Person } from '$core/job/index.ts';
import type { RunSheet } from '$core/job/run-sheet.ts';
import { sheetOf, stateOf } from '$core/sheets/index.ts';
import { withTransaction, type Queryable } from '../db/pool.ts';
import { Refusal } from '../errors.ts';
import { insertEvent, logOf } from '../repositories/events.ts';
import { jobById, openJob, type JobRow } from '../repositories/jobs.ts';
import { deriveSoon } from './derive.ts';
import { engineForJob } from './engine-for-job.ts';

export interface Opening {
  engineId: string;
  sheet: RunSheet;
  promisedOn: string | null;
  by: Person;
  /** the job that led to it, whose readings and answers it takes over */
  after?: string | undefined;
  at?: string;
  id?: string;
}

/** Opens a job; what the job before it measured for it is written in the same transaction: both are there, or neither. */
export async function open(o: Opening): Promise<{ id: string; carried: JobEvent[] }> {
  const done = await withTransaction(async (c) => {
    const before = o.after === undefined ? null : await jobById(o.after, c);
    if (before && before.engineId !== o.engineId)
      throw new Refusal(
        422,
        'other-engine',
        'That job is on another engine: nothing of it is carried over to this one.',
        'after'
      );
    const id = await openJob(o.engineId, o.sheet.id, o.promisedOn, o.by, o.at, o.id, c);
    const carried: JobEvent[] = [];
    for (const body of before ? (await carriedFrom(before, c))(o.sheet) : []) {
      const event = { id: randomUUID(), seq: carried.length + 1 };
      const at = await insertEvent(id, event.seq, event.id, body, o.by.id, c, o.at ?? null);
      carried.push({ ...body, ...event, at: at.toISOString(), by: o.by });
    }
    return { id, carried };
  });
  deriveSoon(done.id);
  return done;
}

/** What a job as it stands brings to a run sheet that follows on it. */
export async function carriedFrom(before: JobRow, on?: Queryable): Promise<(to: RunSheet) => Carried[]> {
  const from = sheetOf(before.sheet);
  if (!from) return () => [];
  const engine = await engineForJob(before.engineId, before.id, on);
  const state = stateOf(from, engine, await logOf(before.id, 0, on));
  return (to) => carriedOver(state, { job: before.id, sheet: from.id }, to);
}
