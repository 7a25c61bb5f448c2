import type { StockItem } from '$core/tray/part-kinds.ts';
import type { TrayGauge } from '$core/tray/gauge-kinds.ts';
import { query } from '../db/pool.ts';
import { notFound } from '../errors.ts';
import { behind } from './behind.ts';
import { ENGINE_BEFORE, type EngineBeforeRow } from './derived.ts';
import { LOG, type EventRow } from './events.ts';
import { GAUGES } from './gauges.ts';
import { LEARNT, type LearntRow } from './hands.ts';
import { JOB_COLUMNS, JOB_FROM, type JobRow } from './jobs.ts';
import { STOCK } from './stock.ts';

/** JSON as the database wrote it, of what its name says: what says the same as before need not be taken apart again. */
export type JsonOf<T> = string & { readonly of?: T };

/** All that the screen of a job shows. */
export interface JobShown {
  job: JobRow;
  /** some job of its engine is behind: what is read off earlier jobs is not the newest yet */
  engineBehind: boolean;
  engine: JsonOf<EngineBeforeRow>;
  /** its log after what was known of it; null where nothing came since */
  news: JsonOf<EventRow[]> | null;
  gauges: JsonOf<TrayGauge[]>;
  stock: JsonOf<StockItem[]>;
  /** what the repeats of the person who sits there told on other jobs */
  learnt: JsonOf<LearntRow[]> | null;
}

/** A job for its screen, as one question: each costs a page a turn over the wire. */
export async function jobShown(
  id: string,
  o: { coreVersion: string; known: number; person: string | null; keys: readonly string[] }
): Promise<JobShown> {
  const [row] = await query<JobRow & Omit<JobShown, 'job'>>(
    'job-shown',
    `SELECT ${JOB_COLUMNS},
       EXISTS (
         SELECT FROM job o LEFT JOIN job_line l ON l.job_id = o.id
         WHERE o.engine_id = j.engine_id AND ${behind('o', '$2')}) AS "engineBehind",
       (SELECT row_to_json(b)::text FROM (${ENGINE_BEFORE('j.engine_id', '$1', '$5')}) b) AS engine,
       ${LOG('$1', '$3', 'j.last_seq')}::text AS news,
       (SELECT coalesce(json_agg(g), '[]')::text FROM (${GAUGES}) g) AS gauges,
       (SELECT coalesce(json_agg(s), '[]')::text FROM (${STOCK}) s) AS stock,
       (SELECT json_agg(h)::text FROM (${LEARNT('$4::text', '$1')}) h) AS learnt
     ${JOB_FROM} WHERE j.id = $1`,
    [id, o.coreVersion, o.known, o.person, o.keys]
  );
  if (!row) throw notFound('job');
  const { engineBehind, engine, news, gauges, stock, learnt, ...job } = row;
  return { job, engineBehind, engine, news, gauges, stock, learnt };
}
