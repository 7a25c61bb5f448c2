import type { Intervals } from '$core/calculations/curve/curve-interval.ts';
import { query } from '../db/pool.ts';

export type CurveLine = {
  id: string;
  name: string;
  summary: string;
  jobId: string | null;
  at: Date | null;
  value: number | null;
  verdict: string | null;
  output: unknown;
};

/** The newest measured curve of each engine, and the engines that have limits of one. */
const WITH_CURVE = `
  WITH newest AS (
    SELECT DISTINCT ON (j.engine_id) j.engine_id, j.id AS job_id, j.opened_at, f.place, f.verdict
    FROM job_figure f JOIN job j ON j.id = f.job_id WHERE f.key = 'curve' ORDER BY j.engine_id, j.opened_at DESC
  ), limited AS (SELECT DISTINCT engine_id FROM sheet_value WHERE name = 'advanceBand'),
  kept AS (
    SELECT e.id, e.name, e.summary, n.job_id, n.place, n.opened_at, n.verdict
    FROM engine e LEFT JOIN newest n ON n.engine_id = e.id
    WHERE n.job_id IS NOT NULL OR e.id IN (SELECT engine_id FROM limited)
  )`;

/** A page of the engines that have limits of a curve or a measured one, with the newest; those out of their limits first. */
export const curveLines = (page: number, size: number) =>
  query<CurveLine>(
    'curve-engines',
    `${WITH_CURVE}
     SELECT k.id, k.name, k.summary, k.job_id AS "jobId", k.opened_at AS at, f.value, k.verdict, f.output
     FROM (SELECT * FROM kept ORDER BY verdict IS DISTINCT FROM 'out', name, id LIMIT $1 OFFSET $2) k
     LEFT JOIN job_figure f ON f.job_id = k.job_id AND f.place = k.place
     ORDER BY k.verdict IS DISTINCT FROM 'out', k.name, k.id`,
    [size, page * size]
  );

/** How many engines have a curve or limits of one, how many of them are out, and the names of the first of those. */
export async function curveCounts(): Promise<{ total: number; out: number; names: string[] }> {
  const [row] = await query<{ total: number; out: number; names: string[] | null }>(
    'curve-counts',
    `${WITH_CURVE}
     SELECT count(*)::int AS total, (count(*) FILTER (WHERE verdict = 'out'))::int AS out,
       (array_agg(name ORDER BY name, id) FILTER (WHERE verdict = 'out'))[1:3] AS names FROM kept`
  );
  return { total: row!.total, out: row!.out, names: row!.names ?? [] };
}

/** The newest job of an engine that has a sweep. */
export async function newestSweep(engineId: string): Promise<{ id: string; sheet: string; closed: boolean } | null> {
  const [job] = await query<{ id: string; sheet: string; closed: boolean }>(
    'curve-job',
    `SELECT j.id, j.sheet, coalesce(l.waits = 'signed', false) AS closed FROM job j LEFT JOIN job_line l ON l.job_id = j.id
     WHERE j.engine_id = $1 AND EXISTS (
       SELECT 1 FROM event e WHERE e.job_id = j.id AND e.kind = 'reading' AND e.body ->> 'slot' = 'sweep-rpm')
     ORDER BY j.opened_at DESC LIMIT 1`,
    [engineId]
  );
  return job ?? null;
}

export type Spacing = { jobId: string; at: Date; output: Intervals; input: { toleranceDeg: number | null } };

/** The newest spacing of the sparks that a job of an engine settled. */
export async function newestSpacing(engineId: string): Promise<Spacing | null> {
  const [lobes] = await query<Spacing>(
    'curve-lobes',
    `SELECT f.job_id AS "jobId", j.opened_at AS at, f.output, f.input FROM job_figure f JOIN job j ON j.id = f.job_id
     WHERE j.engine_id = $1 AND f.key = 'lobes' ORDER BY j.opened_at DESC LIMIT 1`,
    [engineId]
  );
  return lobes ?? null;
}
