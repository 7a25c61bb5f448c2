import { performance } from 'node:perf_hooks';

/**
 * Makes a large workshop out of the demo: engines, data sheets, jobs and logs copied as often as it takes, each copy with
 * ids of its own and none of the derived rows, as after an upgrade. Answers what there is then.
 */
export async function enlarge(client, jobs = 10_000) {
  const { rows } = await client.query('SELECT count(*)::int AS n FROM job');
  const copies = Math.ceil(jobs / rows[0].n) - 1;
  await client.query('BEGIN');
  // no triggers and no checks: what is copied was checked when it was written
  await client.query('SET LOCAL session_replication_role = replica');
  await client.query('CREATE TEMP TABLE copy ON COMMIT DROP AS SELECT n FROM generate_series(1, $1::int) n', [copies]);
  await client.query(
    `INSERT INTO engine (id, name, summary, added_at, sheet_version)
     SELECT e.id || '-' || n, e.name || ' ' || n, e.summary, e.added_at, e.sheet_version FROM engine e, copy`
  );
  await client.query(
    `INSERT INTO sheet_value (engine_id, name, given, unit, value, source, by_person, at)
     SELECT v.engine_id || '-' || n, v.name, v.given, v.unit, v.value, v.source, v.by_person, v.at
     FROM sheet_value v, copy ORDER BY n, v.id`
  );
  await client.query(
    `INSERT INTO job (id, engine_id, sheet, promised_on, opened_by, opened_at, last_seq)
     SELECT md5(j.id::text || n)::uuid, j.engine_id || '-' || n, j.sheet, j.promised_on, j.opened_by,
       j.opened_at - n * interval '1 minute', j.last_seq FROM job j, copy`
  );
  await client.query(
    `INSERT INTO event (id, job_id, seq, kind, at, by_person, typed, unit, value, resolution, gauge, replaces, basis, undoes,
       reason, body)
     SELECT md5(e.id::text || n)::uuid, md5(e.job_id::text || n)::uuid, e.seq, e.kind, e.at, e.by_person, e.typed, e.unit,
       e.value, e.resolution, e.gauge, md5(e.replaces::text || n)::uuid, md5(e.basis::text || n)::uuid,
       md5(e.undoes::text || n)::uuid, e.reason, e.body
     FROM event e, copy`
  );
  await client.query('COMMIT');
  await client.query('ANALYZE');
  const count = async (table) => (await client.query(`SELECT count(*)::int AS n FROM ${table}`)).rows[0].n;
  return { engines: await count('engine'), jobs: await count('job'), events: await count('event') };
}

/** Waits until no job is behind any more; answers after how many seconds, or null when it was not within `limit`. */
export async function settled(client, limit = 600) {
  const from = performance.now();
  const left = () =>
    client
      .query('SELECT count(*)::int AS n FROM job LEFT JOIN job_line l ON l.job_id = job.id WHERE l.job_id IS NULL')
      .then((r) => r.rows[0].n);
  while ((await left()) > 0) {
    if (performance.now() - from > limit * 1000) return null;
    await new Promise((r) => setTimeout(r, 1000));
  }
  return (performance.now() - from) / 1000;
}

/** Milliseconds until a page is there whole, one request at a time: the first, and the median of those after it. */
export async function wait(url, headers, n = 15) {
  const times = [];
  for (let k = 0; k < n; k++) {
    const from = performance.now();
    const r = await fetch(url, headers);
    await r.arrayBuffer();
    if (!r.ok) throw new Error(`${url}: ${r.status}`);
    times.push(performance.now() - from);
  }
  return { first: times[0], then: times.slice(1).toSorted((a, b) => a - b)[n >> 1] };
}
