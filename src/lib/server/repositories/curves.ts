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

/** The engines that have limits of a curve or a measured one, with the newest. */
export const curveLines = () =>
  query<CurveLine>(
    'curve-engines',
    `SELECT e.id, e.name, e.summary, c.job_id AS "jobId", c.at, c.value, c.verdict, c.output FROM engine e
     LEFT JOIN LATERAL (
       SELECT f.job_id, j.opened_at AS at, f.value, f.verdict, f.output FROM job_figure f JOIN job j ON j.id = f.job_id
       WHERE j.engine_id = e.id AND f.key = 'curve' ORDER BY j.opened_at DESC LIMIT 1
     ) c ON true
     WHERE c.job_id IS NOT NULL OR EXISTS (SELECT 1 FROM sheet_value v WHERE v.engine_id = e.id AND v.name = 'advanceBand')
     ORDER BY e.name`
  );

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
