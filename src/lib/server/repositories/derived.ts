import type { Repeats, SettledFigure } from '$core/job/index.ts';
import type { EarlierFigure, EarlierMark } from '$core/engine/engine.ts';
import type { FloorLine } from '$core/job/words.ts';
import { query, type Queryable } from '../db/pool.ts';
import { notFound } from '../errors.ts';
import { behind } from './behind.ts';
import { ENGINE_COLUMNS, ENGINE_FROM, toEngine, type EngineRow, type EngineWithVersion } from './engines.ts';
import { writeRepeats } from './hands.ts';
import { isoOf } from './iso.ts';

export interface Derived {
  jobId: string;
  throughSeq: number;
  throughSheet: number;
  coreVersion: string;
  line: FloorLine;
  done: number;
  total: number;
  lastAt: string | null;
  figures: SettledFigure[];
  repeats: Repeats[];
}

/** Holds everybody else who works out jobs of an engine until the transaction ends: a job is judged with those before it. */
export const lockDerived = (engineId: string, on: Queryable) =>
  query('derived-lock', `SELECT pg_advisory_xact_lock(hashtextextended('derived ' || $1, 0))`, [engineId], on);

/** In this transaction a lock that is not given at once is done without. */
export const hardlyWait = (on: Queryable) => query('derived-hardly-wait', `SET LOCAL lock_timeout = '250ms'`, [], on);

/**
 * Writes what follows from a job's log, under the lock of its engine. Where figures that later jobs are judged with have
 * changed, the rows of those are behind from now on.
 */
export async function writeDerived(d: Derived, judgedWith: readonly string[], on: Queryable): Promise<void> {
  const before = await figuresOf(d.jobId, on);
  await query(
    'derived-line',
    `INSERT INTO job_line (job_id, through_seq, through_sheet, core_version, next, waits, waits_text, rank, done, total, last_at)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, coalesce($11::timestamptz, (SELECT opened_at FROM job WHERE id = $1)))
     ON CONFLICT (job_id) DO UPDATE SET through_seq = excluded.through_seq, through_sheet = excluded.through_sheet,
       core_version = excluded.core_version, next = excluded.next, waits = excluded.waits, waits_text = excluded.waits_text,
       rank = excluded.rank, done = excluded.done, total = excluded.total, last_at = excluded.last_at`,
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
      d.total,
      d.lastAt
    ],
    on
  );
  await query('derived-figures-clear', 'DELETE FROM job_figure WHERE job_id = $1', [d.jobId], on);
  for (const [place, f] of d.figures.entries())
    await query(
      'derived-figure',
      `INSERT INTO job_figure (job_id, place, key, label, value, u, kind, verdict, proved, calc, input, output, core_version)
       VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13)`,
      [
        d.jobId,
        place,
        f.key,
        f.label,
        f.value,
        f.u,
        f.kind,
        f.verdict,
        f.proved,
        f.calc,
        JSON.stringify(f.input),
        JSON.stringify(f.output ?? null),
        d.coreVersion
      ],
      on
    );
  await writeRepeats(d.jobId, d.repeats, on);
  const told = (rows: { key: string; value: number; u: number | null; proved: boolean; output: unknown }[]) =>
    JSON.stringify(
      rows
        .filter((f) => judgedWith.includes(f.key))
        .map((f) => [f.key, f.value, f.u, f.proved, canonical(f.output ?? null)])
        .sort((x, y) => (String(x[0]) < String(y[0]) ? -1 : 1))
    );
  if (told(before) === told(d.figures)) return;
  await query(
    'derived-later-behind',
    `UPDATE job_line SET through_seq = -1 WHERE job_id IN (
       SELECT b.id FROM job a JOIN job b ON b.engine_id = a.engine_id AND (b.opened_at, b.id) > (a.opened_at, a.id) WHERE a.id = $1)`,
    [d.jobId],
    on
  );
  await query(
    'derived-engine-told',
    `SELECT pg_notify('changes', json_build_object('engine', engine_id)::text) FROM job WHERE id = $1`,
    [d.jobId],
    on
  );
}

const figuresOf = (jobId: string, on: Queryable) =>
  query<{ key: string; value: number; u: number | null; proved: boolean; output: unknown }>(
    'derived-figures-of',
    'SELECT key, value, u, proved, output FROM job_figure WHERE job_id = $1',
    [jobId],
    on
  );

/** The database keeps the members of an object in an order of its own. */
function canonical(x: unknown): unknown {
  if (Array.isArray(x)) return x.map(canonical);
  if (typeof x !== 'object' || x === null) return x;
  return Object.entries(x)
    .filter(([, v]) => v !== undefined)
    .sort(([p], [q]) => (p < q ? -1 : 1))
    .map(([k, v]) => [k, canonical(v)]);
}

/** Whether the derived rows of a job are behind its log, its data sheet or the core. */
const BEHIND = behind('j', '$1');

/** Jobs of an engine whose derived rows are behind their log, their data sheet or the core, oldest first. */
export const behindOf = async (engineId: string, coreVersion: string) =>
  (
    await query<{ id: string }>(
      'behind-of',
      `SELECT j.id FROM job j JOIN engine e ON e.id = j.engine_id LEFT JOIN job_line l ON l.job_id = j.id
       WHERE j.engine_id = $2 AND (${BEHIND}) ORDER BY j.opened_at, j.id`,
      [coreVersion, engineId]
    )
  ).map((r) => r.id);

/** Some of the jobs that are behind, open ones first, then the newest; and how many there are. */
export const behindFirst = (coreVersion: string, most: number) =>
  query<{ id: string; left: number }>(
    'behind-first',
    `SELECT j.id, count(*) OVER ()::int AS left
     FROM job j JOIN engine e ON e.id = j.engine_id LEFT JOIN job_line l ON l.job_id = j.id
     WHERE ${BEHIND} ORDER BY (l.waits = 'signed') NULLS FIRST, j.opened_at DESC LIMIT $2`,
    [coreVersion, most]
  );

/** Whether a job is behind still: somebody else may have worked it out meanwhile. */
export const isBehind = async (jobId: string, coreVersion: string, on: Queryable) =>
  (
    await query<{ id: string }>(
      'is-behind',
      `SELECT j.id FROM job j JOIN engine e ON e.id = j.engine_id LEFT JOIN job_line l ON l.job_id = j.id
       WHERE j.id = $2 AND (${BEHIND})`,
      [coreVersion, jobId],
      on
    )
  ).length > 0;

export async function clearDerived(): Promise<void> {
  await query('derived-clear', 'DELETE FROM job_figure', []);
  await query('derived-clear-hands', 'DELETE FROM job_hand', []);
  await query('derived-clear-lines', 'DELETE FROM job_line', []);
}
export const allJobIds = async () =>
  (await query<{ id: string }>('job-ids', 'SELECT id FROM job ORDER BY opened_at, id')).map((r) => r.id);

export type TrendRow = { jobId: string; at: Date; value: number; u: number | null; verdict: string | null };

interface EarlierRow {
  jobId: string;
  key: string;
  at: string;
  value: number;
  u: number | null;
  proved: boolean;
  output: unknown;
  newest: boolean;
}

export type EngineBeforeRow = EngineRow & { earlier: EarlierRow[] | null };
export interface EngineBefore {
  engine: EngineWithVersion;
  marks: EarlierMark[];
  figures: Record<string, EarlierFigure>;
}

/** An engine as a job sees it; names and places of our own statements alone go in. */
export const ENGINE_BEFORE = (engine: string, job: string, keys: string): string =>
  `SELECT ${ENGINE_COLUMNS}, (
     SELECT json_agg(f ORDER BY f.opened_at, f."jobId") FROM (
       SELECT f.job_id AS "jobId", f.key, j.opened_at, ${isoOf('j.opened_at')} AS at, f.value, f.u, f.proved, f.output,
         row_number() OVER (PARTITION BY f.key ORDER BY j.opened_at DESC, j.id DESC) = 1 AS newest
       FROM job me JOIN job j ON j.engine_id = me.engine_id AND (j.opened_at, j.id) < (me.opened_at, me.id)
       JOIN job_figure f ON f.job_id = j.id AND (f.key = ANY(${keys}) OR f.key = 'mark')
       WHERE me.id = ${job}) f
     WHERE newest OR (key = 'mark' AND proved)) AS earlier
   ${ENGINE_FROM} WHERE e.id = ${engine}`;

/**
 * An engine as a job sees it, as one question: its data sheet, and what jobs before this one settled: the newest figure of
 * each key, and every error of the mark where true TDC was found and the mark judged, oldest first.
 */
export async function engineBefore(
  engineId: string,
  jobId: string,
  keys: readonly string[],
  on?: Queryable
): Promise<EngineBefore> {
  const [row] = await query<EngineBeforeRow>(
    'engine-before',
    ENGINE_BEFORE('$1', '$2', '$3'),
    [engineId, jobId, keys],
    on
  );
  if (!row) throw notFound('engine');
  return toEngineBefore(row, keys);
}

export function toEngineBefore(row: EngineBeforeRow, keys: readonly string[]): EngineBefore {
  const earlier = row.earlier ?? [];
  return {
    engine: toEngine(row),
    marks: earlier
      .filter((r) => r.key === 'mark' && r.proved)
      .map((r) => ({ jobId: r.jobId, at: r.at, errorDeg: r.value, uDeg: r.u ?? 0 })),
    figures: Object.fromEntries(
      earlier
        .filter((r) => r.newest && keys.includes(r.key))
        .map(({ key, at, value, u, output }) => [key, { value, u, output, at }])
    )
  };
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
