import { randomUUID } from 'node:crypto';
import type { Person } from '$core/job/index.ts';
import { query } from '../db/pool.ts';
import { notFound } from '../errors.ts';

export type JobRow = {
  id: string;
  engineId: string;
  engineName: string;
  sheet: string;
  promisedOn: string | null;
  openedBy: string;
  openedAt: Date;
  lastSeq: number;
};

const COLUMNS = `j.id, j.engine_id AS "engineId", e.name AS "engineName", j.sheet, j.promised_on::text AS "promisedOn",
  p.name AS "openedBy", j.opened_at AS "openedAt", j.last_seq AS "lastSeq"`;
const FROM = 'FROM job j JOIN engine e ON e.id = j.engine_id JOIN person p ON p.id = j.opened_by';

export async function jobById(id: string): Promise<JobRow> {
  const [row] = await query<JobRow>('job-by-id', `SELECT ${COLUMNS} ${FROM} WHERE j.id = $1`, [id]);
  if (!row) throw notFound('job');
  return row;
}

export async function openJob(
  engineId: string,
  sheet: string,
  promisedOn: string | null,
  by: Person,
  at?: string,
  id: string = randomUUID()
): Promise<string> {
  await query(
    'job-open',
    'INSERT INTO job (id, engine_id, sheet, promised_on, opened_by, opened_at) VALUES ($1, $2, $3, $4, $5, coalesce($6::timestamptz, now()))',
    [id, engineId, sheet, promisedOn, by.id, at ?? null]
  );
  return id;
}

export type FloorRow = JobRow & {
  summary: string;
  throughSeq: number | null;
  throughSheet: number | null;
  sheetVersion: number;
  coreVersion: string | null;
  next: string | null;
  waits: string | null;
  waitsText: string | null;
  rank: number | null;
  done: number | null;
  total: number | null;
  lastBy: string | null;
  lastAt: Date | null;
};

/**
 * The jobs on the floor with their derived line: what can be done now first, then by promised day.
 * Finished ones stay for two weeks.
 */
export const floorRows = () =>
  query<FloorRow>(
    'floor',
    `SELECT ${COLUMNS}, e.summary, l.through_seq AS "throughSeq", l.through_sheet AS "throughSheet", l.core_version AS "coreVersion",
            coalesce((SELECT max(id) FROM sheet_value WHERE engine_id = j.engine_id), 0) AS "sheetVersion",
            l.next, l.waits, l.waits_text AS "waitsText", l.rank, l.done, l.total, lp.name AS "lastBy", le.at AS "lastAt"
     ${FROM}
     LEFT JOIN job_line l ON l.job_id = j.id
     LEFT JOIN event le ON le.job_id = j.id AND le.seq = j.last_seq
     LEFT JOIN person lp ON lp.id = le.by_person
     WHERE l.waits IS DISTINCT FROM 'signed' OR coalesce(le.at, j.opened_at) > now() - interval '14 days'
     ORDER BY l.rank NULLS FIRST, j.promised_on NULLS LAST, j.opened_at
     LIMIT 200`
  );

export const jobsOfEngine = (engineId: string) =>
  query<JobRow & { done: number | null; total: number | null; waits: string | null }>(
    'jobs-of-engine',
    `SELECT ${COLUMNS}, l.done, l.total, l.waits ${FROM} LEFT JOIN job_line l ON l.job_id = j.id
     WHERE j.engine_id = $1 ORDER BY j.opened_at DESC LIMIT 100`,
    [engineId]
  );

/** The job whose id begins with a short code, when exactly one does. */
export async function jobIdByCode(code: string): Promise<string> {
  const rows = await query<{ id: string }>('job-by-code', `SELECT id FROM job WHERE id::text LIKE $1 || '%' LIMIT 2`, [
    code
  ]);
  if (rows.length !== 1) throw notFound('job');
  return rows[0]!.id;
}
