import { randomUUID } from 'node:crypto';
import type { Person } from '$core/job/index.ts';
import { query, type Queryable } from '../db/pool.ts';
import { notFound } from '../errors.ts';
import { behind } from './behind.ts';

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

export const JOB_COLUMNS = `j.id, j.engine_id AS "engineId", e.name AS "engineName", j.sheet, j.promised_on::text AS "promisedOn",
  p.name AS "openedBy", j.opened_at AS "openedAt", j.last_seq AS "lastSeq"`;
export const JOB_FROM = 'FROM job j JOIN engine e ON e.id = j.engine_id JOIN person p ON p.id = j.opened_by';

export async function jobById(id: string, on?: Queryable): Promise<JobRow> {
  const [row] = await query<JobRow>('job-by-id', `SELECT ${JOB_COLUMNS} ${JOB_FROM} WHERE j.id = $1`, [id], on);
  if (!row) throw notFound('job');
  return row;
}

export async function openJob(
  engineId: string,
  sheet: string,
  promisedOn: string | null,
  by: Person,
  at?: string,
  id: string = randomUUID(),
  on?: Queryable
): Promise<string> {
  await query(
    'job-open',
    'INSERT INTO job (id, engine_id, sheet, promised_on, opened_by, opened_at) VALUES ($1, $2, $3, $4, $5, coalesce($6::timestamptz, now()))',
    [id, engineId, sheet, promisedOn, by.id, at ?? null],
    on
  );
  return id;
}

export type FloorRow = JobRow & {
  summary: string;
  /** its derived line does not include all of its log, its data sheet or this core */
  behind: boolean;
  next: string | null;
  waits: string | null;
  waitsText: string | null;
  rank: number | null;
  done: number | null;
  total: number | null;
  lastBy: string | null;
  lastAt: Date | null;
};

/** Which of them are asked for: a person who opened the job or wrote in it last, and words that all stand in its row. */
export interface FloorFilter {
  who: string | null;
  /** words as they were typed, in lower case */
  words: string[];
  /** run sheets whose name holds a word, by the word's place */
  sheets: string[][];
}

/** A page of the floor, and how many jobs it has that wait for what. */
export interface Floor {
  rows: FloorRow[];
  counts: Record<string, number>;
}

const ORDER = (t: string) => `ORDER BY ${t}.rank NULLS FIRST, ${t}.promised_on NULLS LAST, ${t}.opened_at, ${t}.id`;

/**
 * Jobs that are not finished, finished ones of the last two weeks, and those that were never worked out: the ones asked for
 * are found in one pass, and page and counts are both taken from it.
 * @param words how many words are looked for; each takes two values, from $5 on
 */
const floorText = (words: number): string => `
  WITH shown AS (
    SELECT job_id FROM job_line WHERE waits <> 'signed'
    UNION ALL SELECT job_id FROM job_line WHERE waits = 'signed' AND last_at > now() - interval '14 days'
    UNION ALL SELECT id FROM job n WHERE NOT EXISTS (SELECT 1 FROM job_line o WHERE o.job_id = n.id)
  ), found AS MATERIALIZED (
    SELECT j.id, j.promised_on, j.opened_at, l.rank, l.waits
    FROM shown s JOIN job j ON j.id = s.job_id JOIN engine e ON e.id = j.engine_id
    LEFT JOIN job_line l ON l.job_id = j.id${words ? HAY : ''}
    WHERE ($1::text IS NULL
      OR EXISTS (SELECT FROM person p WHERE p.id = j.opened_by AND p.name = $1)
      OR EXISTS (SELECT FROM event w JOIN person wp ON wp.id = w.by_person WHERE w.job_id = j.id AND w.seq = j.last_seq AND wp.name = $1))
      ${Array.from({ length: words }, (_, k) => `AND (position($${5 + 2 * k}::text in hay.text) > 0 OR j.sheet = ANY($${6 + 2 * k}::text[]))`).join('\n      ')}
  ), page AS (SELECT * FROM found f ${ORDER('f')} LIMIT $2 OFFSET $3)
  SELECT counts.of AS counts, page.id IS NOT NULL AS "onPage", ${JOB_COLUMNS}, e.summary, ${behind('j', '$4')} AS behind,
         l.next, l.waits, l.waits_text AS "waitsText", l.rank, l.done, l.total, lp.name AS "lastBy", le.at AS "lastAt"
  FROM (SELECT coalesce(json_object_agg(coalesce(w.waits, ''), w.n), '{}') AS of
        FROM (SELECT waits, count(*)::int AS n FROM found GROUP BY waits) w) counts
  LEFT JOIN page ON true
  LEFT JOIN job j ON j.id = page.id LEFT JOIN engine e ON e.id = j.engine_id LEFT JOIN person p ON p.id = j.opened_by
  LEFT JOIN job_line l ON l.job_id = j.id
  LEFT JOIN event le ON le.job_id = j.id AND le.seq = j.last_seq
  LEFT JOIN person lp ON lp.id = le.by_person
  ${ORDER('page')}`;
/** Everything of a row that a word may stand in, put together once a row. */
const HAY = `
    CROSS JOIN LATERAL (SELECT lower(concat_ws(' ', e.name, e.summary, l.next, l.waits_text)) AS text OFFSET 0) hay`;

/**
 * A page of the floor with its derived lines, what can be done now first, then by promised day; and of all its pages how many
 * jobs wait for what, those never worked out under ''. Nothing is worked out here: a row that is behind says so.
 */
export async function floor(coreVersion: string, filter: FloorFilter, page: number, size: number): Promise<Floor> {
  const { who, words, sheets } = filter;
  const rows = await query<FloorRow & { counts: Record<string, number>; onPage: boolean }>(
    `floor-${words.length}`,
    floorText(words.length),
    [who, size, page * size, coreVersion, ...words.flatMap((w, k) => [w, sheets[k] ?? []])]
  );
  return { counts: rows[0]?.counts ?? {}, rows: rows.filter((r) => r.onPage) };
}

export const jobsOfEngine = (engineId: string) =>
  query<JobRow & { done: number | null; total: number | null; waits: string | null }>(
    'jobs-of-engine',
    `SELECT ${JOB_COLUMNS}, l.done, l.total, l.waits ${JOB_FROM} LEFT JOIN job_line l ON l.job_id = j.id
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
