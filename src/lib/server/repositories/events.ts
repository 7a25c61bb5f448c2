import type { EventBody, JobEvent } from '$core/job/index.ts';
import { isoOf } from './iso.ts';
import { query, type Queryable } from '../db/pool.ts';

export type EventRow = {
  id: string;
  seq: number;
  kind: string;
  at: string;
  by_person: string;
  by_name: string;
  typed: string | null;
  unit: string | null;
  value: number | null;
  resolution: number | null;
  gauge: unknown;
  replaces: string | null;
  basis: string | null;
  undoes: string | null;
  reason: string | null;
  body: Record<string, unknown>;
};

const SELECT = `
  SELECT e.id, e.seq, e.kind,
         ${isoOf('e.at')} AS at, e.by_person, p.name AS by_name, e.typed, e.unit, e.value, e.resolution, e.gauge,
         e.replaces, e.basis, e.undoes, e.reason, e.body
  FROM event e JOIN person p ON p.id = e.by_person`;

/**
 * A piece of a log as one value: hundreds of rows are taken apart once and not column by column. Names and places of our own
 * statements alone go in.
 */
export const LOG = (job: string, after: string, through: string): string =>
  `(SELECT json_agg(l ORDER BY l.seq) FROM (${SELECT} WHERE e.job_id = ${job} AND e.seq > ${after} AND e.seq <= ${through}) l)`;

/** The log of a job after a sequence number and through another, in order. */
export async function logOf(jobId: string, after = 0, on?: Queryable, through = 2 ** 31 - 1): Promise<JobEvent[]> {
  const [row] = await query<{ log: EventRow[] | null }>(
    'event-log',
    `SELECT ${LOG('$1', '$2', '$3')} AS log`,
    [jobId, after, through],
    on
  );
  return toLog(row?.log ?? []);
}

/** Rows of a log as its events. */
export function toLog(rows: readonly EventRow[]): JobEvent[] {
  // one object a person and a gauge: the page that carries the log then says each once
  const shared = new Map<string, unknown>();
  const once = <T>(key: string, x: T): T => {
    if (!shared.has(key)) shared.set(key, x);
    return shared.get(key) as T;
  };
  return rows.map((r) => {
    const gauge = r.gauge === null ? null : once(`gauge ${JSON.stringify(r.gauge)}`, r.gauge);
    const e = toEvent({ ...r, gauge });
    return { ...e, by: once(`by ${e.by.id} ${e.by.name}`, e.by) };
  });
}

export const eventById = async (id: string, on?: Queryable) => (await eventsById([id], on))[0] ?? null;

/** Those of some events that are there, with their jobs. */
export async function eventsById(ids: readonly string[], on?: Queryable): Promise<(JobEvent & { jobId: string })[]> {
  const rows = await query<EventRow & { job_id: string }>(
    'events-by-id',
    SELECT.replace('SELECT e.id', 'SELECT e.job_id, e.id') + ' WHERE e.id = ANY($1)',
    [ids],
    on
  );
  return rows.map((row) => ({ ...toEvent(row), jobId: row.job_id }));
}

/** The live amendment of a reading that was made on a given state of it. */
export async function amendmentOn(replaces: string, basis: string): Promise<{ text: string; name: string } | null> {
  const [row] = await query<{ text: string; name: string }>(
    'event-amendment-on',
    `SELECT e.typed AS text, p.name FROM event e JOIN person p ON p.id = e.by_person WHERE e.kind = 'amend' AND e.replaces = $1 AND e.basis = $2`,
    [replaces, basis]
  );
  return row ?? null;
}

/** Takes the next number of a job and holds its writers in line until the transaction ends; null: no such job. */
export async function lockJob(
  jobId: string,
  on: Queryable
): Promise<{ engineId: string; sheet: string; lastSeq: number; now: Date } | null> {
  const [row] = await query<{ engineId: string; sheet: string; lastSeq: number; now: Date }>(
    'job-lock',
    'SELECT engine_id AS "engineId", sheet, last_seq AS "lastSeq", now() AS now FROM job WHERE id = $1 FOR UPDATE',
    [jobId],
    on
  );
  return row ?? null;
}

/** Writes one event as the next of its job, which must be locked. `at` is given only when a log is brought in whole. */
export async function insertEvent(
  jobId: string,
  seq: number,
  id: string,
  body: EventBody,
  byId: string,
  on: Queryable,
  at: string | null = null
): Promise<Date> {
  const c = columnsOf(body);
  const [row] = await query<{ at: Date }>(
    'event-insert',
    `WITH counted AS (UPDATE job SET last_seq = $3 WHERE id = $2)
     INSERT INTO event (id, job_id, seq, kind, by_person, typed, unit, value, resolution, gauge, replaces, basis, undoes, reason, body, at)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, coalesce($16::timestamptz, now())) RETURNING at`,
    [
      id,
      jobId,
      seq,
      body.kind,
      byId,
      c.typed,
      c.unit,
      c.value,
      c.resolution,
      c.gauge,
      c.replaces,
      c.basis,
      c.undoes,
      c.reason,
      c.body,
      at
    ],
    on
  );
  return row!.at;
}

/** Writes several events, numbered one after the other, as the next of their job, which must be locked. */
export async function insertEvents(
  jobId: string,
  events: readonly { seq: number; id: string; body: EventBody }[],
  byId: string,
  on: Queryable
): Promise<void> {
  const rows = events.map(({ seq, id, body }) => ({ id, seq, kind: body.kind, ...columnsOf(body) }));
  await query(
    'events-insert',
    `WITH counted AS (UPDATE job SET last_seq = $3 WHERE id = $1)
     INSERT INTO event (id, job_id, seq, kind, by_person, typed, unit, value, resolution, gauge, replaces, basis, undoes, reason, body, at)
     SELECT r.id, $1, r.seq, r.kind, $2, r.typed, r.unit, r.value, r.resolution, r.gauge::jsonb, r.replaces, r.basis, r.undoes, r.reason, r.body, now()
     FROM jsonb_to_recordset($4::jsonb) AS r (id uuid, seq int, kind text, typed text, unit text, value double precision,
       resolution double precision, gauge text, replaces uuid, basis uuid, undoes uuid, reason text, body jsonb)`,
    [jobId, byId, events[events.length - 1]!.seq, JSON.stringify(rows)],
    on
  );
}

/** Splits an event into its columns; what has no column of its own goes into `body`. */
function columnsOf(e: EventBody) {
  const none = {
    typed: null,
    unit: null,
    value: null,
    resolution: null,
    gauge: null,
    replaces: null,
    basis: null,
    undoes: null,
    reason: null
  };
  const figure = (f: Extract<EventBody, { kind: 'reading' | 'amend' }>) => ({
    typed: f.text,
    unit: f.unit,
    value: f.value,
    resolution: f.resolution,
    gauge: f.gauge ? JSON.stringify(f.gauge) : null
  });
  switch (e.kind) {
    case 'reading':
      return {
        ...none,
        ...figure(e),
        body: { step: e.step, slot: e.slot, quantity: e.quantity, ...(e.from ? { from: e.from } : {}) }
      };
    case 'amend':
      return { ...none, ...figure(e), replaces: e.replaces, basis: e.basis, reason: e.reason, body: {} };
    case 'undo':
      return { ...none, undoes: e.undoes, body: {} };
    case 'skip':
    case 'override': {
      const { kind: _, reason, ...body } = e;
      return { ...none, reason, body };
    }
    default: {
      const { kind: _, ...body } = e;
      return { ...none, body };
    }
  }
}

function toEvent(r: EventRow): JobEvent {
  const envelope = { id: r.id, seq: r.seq, at: r.at, by: { id: r.by_person, name: r.by_name } };
  const figure =
    r.typed === null ? {} : { text: r.typed, unit: r.unit, value: r.value, resolution: r.resolution, gauge: r.gauge };
  return {
    kind: r.kind,
    ...r.body,
    ...figure,
    ...(r.replaces === null ? {} : { replaces: r.replaces, basis: r.basis }),
    ...(r.undoes === null ? {} : { undoes: r.undoes }),
    ...(r.reason === null ? {} : { reason: r.reason }),
    ...envelope
  } as JobEvent;
}
