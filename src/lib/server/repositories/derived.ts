import type { SettledFigure } from '$core/job/index.ts';
import type { EarlierFigure, EarlierMark } from '$core/engine/engine.ts';
import type { FloorLine } from '$core/job/words.ts';
import { query, withTransaction, type Queryable } from '../db/pool.ts';

export interface Derived {
  jobId: string;
  throughSeq: number;
  throughSheet: number;
  coreVersion: string;
  line: FloorLine;
  done: number;
  total: number;
  figures: SettledFigure[];
}

/**
 * Writes what follows from a job's log, unless a later state of it is there already. Later jobs of the engine are
 * judged with its figures, so their rows are behind from now on.
 */
export async function writeDerived(d: Derived): Promise<void> {
  await withTransaction(async (c) => {
    const kept = await query<{ job_id: string }>(
      'derived-line',
      `INSERT INTO job_line (job_id, through_seq, through_sheet, core_version, next, waits, waits_text, rank, done, total)
       VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)
       ON CONFLICT (job_id) DO UPDATE SET through_seq = excluded.through_seq, through_sheet = excluded.through_sheet,
         core_version = excluded.core_version, next = excluded.next, waits = excluded.waits, waits_text = excluded.waits_text,
         rank = excluded.rank, done = excluded.done, total = excluded.total
       WHERE job_line.through_seq <= excluded.through_seq AND job_line.through_sheet <= excluded.through_sheet
       RETURNING job_id`,
      [
        d.jobId,
        d.throughSeq,
        d.throughSheet,
        d.coreVersion,
        d.line.next,
        d.line.waits,
        d.line.waitsText,
        d.line.rank,
        d.done,
        d.total
      ],
      c
    );
    if (kept.length === 0) return;
    await query('derived-figures-clear', 'DELETE FROM job_figure WHERE job_id = $1', [d.jobId], c);
    for (const [place, f] of d.figures.entries())
      await query(
        'derived-figure',
        `INSERT INTO job_figure (job_id, place, key, label, value, u, kind, verdict, calc, input, output, core_version)
         VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12)`,
        [
          d.jobId,
          place,
          f.key,
          f.label,
          f.value,
          f.u,
          f.kind,
          f.verdict,
          f.calc,
          JSON.stringify(f.input),
          JSON.stringify(f.output ?? null),
          d.coreVersion
        ],
        c
      );
    await query(
      'derived-later-behind',
      `UPDATE job_line SET through_seq = -1 WHERE job_id IN (
         SELECT b.id FROM job a JOIN job b ON b.engine_id = a.engine_id AND b.opened_at > a.opened_at WHERE a.id = $1)`,
      [d.jobId],
      c
    );
  });
}

/** Jobs whose derived rows are behind their log, their data sheet or the core, oldest first; of one engine or of all. */
export const jobsBehind = async (engineId: string | null, coreVersion: string) =>
  (
    await query<{ id: string }>(
      'jobs-behind',
      `SELECT j.id FROM job j LEFT JOIN job_line l ON l.job_id = j.id
       WHERE ($1::text IS NULL OR j.engine_id = $1) AND (l.job_id IS NULL OR l.through_seq <> j.last_seq OR l.core_version <> $2
         OR l.through_sheet <> coalesce((SELECT max(id) FROM sheet_value WHERE engine_id = j.engine_id), 0))
       ORDER BY j.opened_at`,
      [engineId, coreVersion]
    )
  ).map((r) => r.id);

export const clearDerived = () =>
  query('derived-clear', 'DELETE FROM job_figure', []).then(() =>
    query('derived-clear-lines', 'DELETE FROM job_line', [])
  );
export const allJobIds = async () =>
  (await query<{ id: string }>('job-ids', 'SELECT id FROM job ORDER BY opened_at')).map((r) => r.id);

export type TrendRow = { jobId: string; at: Date; value: number; u: number | null; verdict: string | null };

/** The mark's error as jobs before this one settled it: those in which true TDC was found and the mark judged. */
export async function earlierMarks(jobId: string, on?: Queryable): Promise<EarlierMark[]> {
  const rows = await query<{ jobId: string; at: Date; errorDeg: number; uDeg: number }>(
    'earlier-marks',
    `SELECT f.job_id AS "jobId", j.opened_at AS at, f.value AS "errorDeg", coalesce(f.u, 0) AS "uDeg"
     FROM job me JOIN job j ON j.engine_id = me.engine_id AND j.opened_at < me.opened_at
     JOIN job_figure f ON f.job_id = j.id AND f.key = 'mark'
     WHERE me.id = $1 AND EXISTS (SELECT 1 FROM event e WHERE e.job_id = j.id AND e.kind = 'done' AND e.body ->> 'step' = 'mark')
     ORDER BY j.opened_at`,
    [jobId],
    on
  );
  return rows.map((r) => ({ ...r, at: r.at.toISOString() }));
}

/** The newest figure of each key that jobs before this one settled. */
export async function earlierFigures(
  jobId: string,
  keys: readonly string[],
  on?: Queryable
): Promise<Record<string, EarlierFigure>> {
  const rows = await query<{ key: string; value: number; u: number | null; at: Date; output: unknown }>(
    'earlier-figures',
    `SELECT DISTINCT ON (f.key) f.key, f.value, f.u, j.opened_at AS at, f.output
     FROM job me JOIN job j ON j.engine_id = me.engine_id AND j.opened_at < me.opened_at
     JOIN job_figure f ON f.job_id = j.id AND f.key = ANY($2)
     WHERE me.id = $1 ORDER BY f.key, j.opened_at DESC`,
    [jobId, keys],
    on
  );
  return Object.fromEntries(rows.map(({ key, at, ...r }) => [key, { ...r, at: at.toISOString() }]));
}

/** A settled figure over an engine's jobs, oldest first. */
export const trendOf = (engineId: string, key: string) =>
  query<TrendRow>(
    'trend',
    `SELECT f.job_id AS "jobId", j.opened_at AS at, f.value, f.u, f.verdict FROM job_figure f JOIN job j ON j.id = f.job_id
     WHERE j.engine_id = $1 AND f.key = $2 ORDER BY j.opened_at`,
    [engineId, key]
  );

export type FigureRow = TrendRow & { key: string; output: unknown };

/** Several figures over an engine's jobs, oldest first. */
export const trendsOf = (engineId: string, keys: readonly string[]) =>
  query<FigureRow>(
    'trends',
    `SELECT f.key, f.job_id AS "jobId", j.opened_at AS at, f.value, f.u, f.verdict, f.output
     FROM job_figure f JOIN job j ON j.id = f.job_id
     WHERE j.engine_id = $1 AND f.key = ANY($2) ORDER BY j.opened_at LIMIT 200`,
    [engineId, keys]
  );
