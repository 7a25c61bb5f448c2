import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import type { Person } from '$core/job/index.ts';
import { dateText, timeText } from '$lib/reader/dates.ts';
import { CORE_VERSION } from '$lib/server/core-version.ts';
import { getPool } from '$lib/server/db/pool.ts';
import { derive, derivedSettled, freshen } from '$lib/server/jobs/derive.ts';
import { jobPage } from '$lib/server/jobs/job-page.ts';
import { log } from '$lib/server/log.ts';
import { behindOf } from '$lib/server/repositories/derived.ts';
import { LIST_PAGE } from '$lib/server/find.ts';
import { openJob } from '$lib/server/repositories/jobs.ts';
import { zoneNow } from '$lib/server/zone.ts';
import { load } from '../../src/routes/+page.server.ts';
import { POST as workshop } from '../../src/routes/api/workshop/+server.ts';
import { answer, apiEvent, freshDatabase, smallWorkshop } from './support.ts';

let away: () => Promise<void>;
let by: Person;
let engineId: string;
let jobId: string;
beforeAll(async () => {
  away = await freshDatabase();
  ({ by, engineId, jobId } = await smallWorkshop());
});
afterAll(async () => {
  await derivedSettled();
  await away();
});

interface Row {
  id: string;
  waits: string;
  waitsText: string;
  behind: boolean;
}
const floor = async (query = '') =>
  (await (load as unknown as (e: unknown) => unknown)({ url: new URL(`http://bench/${query}`) })) as {
    jobs: Row[];
    total: number;
    pending: number;
    pages: number;
  };
const rowOf = async (id: string) => (await floor()).jobs.find((j) => j.id === id)!;

describe('a job that cannot be worked out', () => {
  const complaints = () => vi.spyOn(log, 'error').mockImplementation(() => {});

  it('for its run sheet is not known says so in its row; the log has it once, and every other job stands', async () => {
    const said = complaints();
    const id = await openJob(engineId, 'sheet-of-tomorrow', null, by);
    const row = await rowOf(id);
    expect([row.waits, row.behind]).toEqual(['broken', false]);
    expect(row.waitsText).toContain('run sheet is not known to this version');
    for (let k = 0; k < 3; k++) expect((await rowOf(jobId)).waits).toBe('ready');
    expect(said.mock.calls.filter(([what]) => what.includes(id))).toHaveLength(1);
    await expect(jobPage(id, null)).rejects.toMatchObject({ status: 409, code: 'no-such-sheet' });
    said.mockRestore();
  });
  it('for its log is damaged says so in its row, and is tried again only when something was added', async () => {
    const said = complaints();
    const id = await openJob(engineId, 'pedestal', null, by);
    const damage = (seq: number) =>
      getPool().query(
        `WITH e AS (INSERT INTO event (id, job_id, seq, kind, by_person, body) VALUES ($1, $2, $3, 'sign', $4, '{}'))
         UPDATE job SET last_seq = $3 WHERE id = $2`,
        [randomUUID(), id, seq, by.id]
      );
    await damage(1);
    for (let k = 0; k < 3; k++) expect((await rowOf(id)).waits).toBe('broken');
    const tries = () => said.mock.calls.filter(([what]) => what.includes(id)).length;
    expect(tries()).toBe(1);
    await damage(2);
    expect((await rowOf(id)).waits).toBe('broken');
    expect(tries()).toBe(2);
    said.mockRestore();
  });
});

describe('many jobs that are behind', () => {
  it('are shown at once as being worked out, page by page, and follow in the background', async () => {
    const more = LIST_PAGE + 5;
    for (let k = 0; k < more; k++) await openJob(engineId, 'verify-marks', null, by);
    const first = await floor();
    expect(first.jobs).toHaveLength(LIST_PAGE);
    expect(first.jobs.filter((j) => j.behind).length).toBeGreaterThan(LIST_PAGE / 2);
    expect(first.pending).toBeGreaterThan(LIST_PAGE / 2);
    await derivedSettled();
    const [one, two] = [await floor(), await floor('?page=2')];
    expect([...one.jobs, ...two.jobs].filter((j) => j.behind)).toEqual([]);
    expect(one.pending).toBe(0);
    expect(new Set([...one.jobs, ...two.jobs].map((j) => j.id)).size).toBe(one.total);
    expect([one.pages, one.total]).toEqual([2, more + 3]);
    await expect(floor('?page=3&who=')).rejects.toMatchObject({ status: 307, location: '/?who=' });
  });
});

describe('what a job is behind of', () => {
  it('does not hang on the order in which entries of a data sheet become visible', async () => {
    await freshen(engineId);
    await derivedSettled();
    const enter = (on: { query: (text: string, values: unknown[]) => Promise<unknown> }, given: string) =>
      on.query(
        `INSERT INTO sheet_value (engine_id, name, given, value, source, by_person) VALUES ($1, 'strokeMm', $2, $3, 'card', $4)`,
        [engineId, given, given, by.id]
      );
    const [a, b] = [await getPool().connect(), await getPool().connect()];
    try {
      await a.query('BEGIN');
      await b.query('BEGIN');
      await enter(a, '92.1');
      const second = enter(b, '92.2');
      await a.query('COMMIT');
      await second;
      await derive(jobId);
      expect(await behindOf(engineId, CORE_VERSION)).not.toContain(jobId);
      await b.query('COMMIT');
      expect(await behindOf(engineId, CORE_VERSION)).toContain(jobId);
    } finally {
      a.release();
      b.release();
    }
  });
  it('is the core too: a row of another version is made anew', async () => {
    await derive(jobId);
    await getPool().query(
      `UPDATE job_line SET core_version = 'before', next = 'what was true once' WHERE job_id = $1`,
      [jobId]
    );
    expect(await behindOf(engineId, CORE_VERSION)).toContain(jobId);
    await derive(jobId, true);
    const { rows } = await getPool().query('SELECT next FROM job_line WHERE job_id = $1', [jobId]);
    expect(rows[0].next).not.toBe('what was true once');
  });
});

describe('the clock of the workshop', () => {
  it('is chosen once by somebody, and only where there is such a clock', async () => {
    const say = (zone: unknown, person: Person | null = by) =>
      answer(workshop(apiEvent({ params: {}, body: { zone }, person })));
    expect(await say('Mars/Olympus')).toMatchObject({ status: 422, ok: false });
    expect(await say('Asia/Tokyo', null)).toMatchObject({ status: 401, ok: false });
    expect(await say('Asia/Tokyo')).toMatchObject({ status: 200, out: { zone: 'Asia/Tokyo' } });
    expect(await zoneNow()).toBe('Asia/Tokyo');
  });
  it('is the one by which days and times are read, the day before or after included', () => {
    const at = '2026-03-01T23:30:00Z';
    expect([dateText(at, { zone: 'UTC' }), dateText(at, { zone: 'Asia/Tokyo' })]).toEqual(['1 Mar 2026', '2 Mar 2026']);
    expect(timeText(at, { zone: 'Asia/Tokyo' })).toBe('2 Mar, 08:30');
    expect(timeText(at, { zone: 'America/New_York' })).toBe('1 Mar, 18:30');
  });
});
