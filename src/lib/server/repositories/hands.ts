import type { Repeats } from '$core/job/index.ts';
import { learntKey, type Learnt, type LearntHand } from '$core/tray/hands.ts';
import { query, type Queryable } from '../db/pool.ts';

const SUMS = 'sum(dof)::int AS dof, sum(ss) AS ss, sum(n)::int AS n';
/** What the repeats of a person told on every job but one; places of our own statements alone go in. */
export const LEARNT = (person: string, exceptJob: string): string =>
  `SELECT gauge_id AS gauge, reads, ${SUMS} FROM job_hand
   WHERE person_id = ${person} AND job_id <> ${exceptJob} GROUP BY gauge_id, reads`;

/** What the repeats of a person told on every job but one, by gauge and what is read: a job is not judged twice with its own. */
export async function learntOf(person: string, exceptJob: string, on?: Queryable): Promise<LearntHand> {
  const rows = await query<LearntRow>('hands-of', LEARNT('$1', '$2'), [person, exceptJob], on);
  return byReading(rows);
}

export type LearntRow = Learnt & { gauge: string; reads: string };
/** What repeats told, by gauge and what is read. */
export const byReading = (rows: readonly LearntRow[]): LearntHand =>
  Object.fromEntries(rows.map(({ gauge, reads, ...learnt }) => [learntKey(gauge, reads), learnt]));

/** The same of everybody, over all jobs. */
export const learntByAll = () =>
  query<Repeats & { name: string; jobs: number }>(
    'hands',
    `SELECT h.person_id AS person, p.name, h.kind, h.gauge_id AS gauge, h.reads, ${SUMS}, count(*)::int AS jobs
     FROM job_hand h JOIN person p ON p.id = h.person_id
     GROUP BY h.person_id, p.name, h.kind, h.gauge_id, h.reads ORDER BY h.gauge_id, p.name, h.reads`
  );

/** Writes what the repeats of a job tell, in place of what was there. */
export async function writeRepeats(jobId: string, repeats: readonly Repeats[], on: Queryable): Promise<void> {
  await query('hands-clear', 'DELETE FROM job_hand WHERE job_id = $1', [jobId], on);
  for (const r of repeats)
    await query(
      'hands-write',
      'INSERT INTO job_hand (job_id, person_id, kind, gauge_id, reads, dof, ss, n) VALUES ($1, $2, $3, $4, $5, $6, $7, $8)',
      [jobId, r.person, r.kind, r.gauge, r.reads, r.dof, r.ss, r.n],
      on
    );
}
