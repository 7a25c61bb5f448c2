import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, it, vi } from 'vitest';
import type { Person } from '$core/job/index.ts';
import { append } from '$lib/server/jobs/append.ts';
import { derivedSettled } from '$lib/server/jobs/derive.ts';
import { closeLive, subscribe, type Told } from '$lib/server/live/hub.ts';
import { enterValues } from '$lib/server/repositories/engines.ts';
import { getPool, withTransaction } from '$lib/server/db/pool.ts';
import { log } from '$lib/server/log.ts';
import { freshDatabase, smallWorkshop } from './support.ts';

let away: () => Promise<void>;
let by: Person;
let jobId: string;
let engineId: string;
beforeAll(async () => {
  away = await freshDatabase();
  ({ by, jobId, engineId } = await smallWorkshop());
});
afterAll(async () => {
  closeLive();
  await derivedSettled();
  await away();
});

/** Collects what is told until one fits. */
function heard(fits: (t: Told) => boolean): { done: Promise<Told>; stop: () => void } {
  let stop = () => {};
  const done = new Promise<Told>((resolve) => {
    stop = subscribe((t) => fits(t) && resolve(t));
  });
  return { done, stop };
}

it('tells every listener of an event, of a data-sheet value, and to resync after the line was lost', async () => {
  const ready = heard((t) => t === 'resync');
  await ready.done;
  ready.stop();

  const event = heard((t) => t !== 'resync' && t.job === jobId);
  const e = await append(jobId, { id: randomUUID(), kind: 'remark', text: 'hello' }, by);
  expect(await event.done).toEqual({ job: jobId, seq: e.seq });
  event.stop();

  const sheet = heard((t) => t !== 'resync' && t.engine === engineId);
  await enterValues(engineId, [{ name: 'idleRpm', given: '600', unit: 'rpm', value: 600, source: 'plate' }], by);
  await sheet.done;
  sheet.stop();

  const again = heard((t) => t === 'resync');
  await getPool().query(`SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE query = 'LISTEN changes'`);
  expect(await again.done).toBe('resync');
  again.stop();
});

it('goes on after a notification that nobody can read: everybody is told to resync', async () => {
  const quiet = vi.spyOn(log, 'error').mockImplementation(() => {});
  const again = heard((t) => t === 'resync');
  await getPool().query(`SELECT pg_notify('changes', 'not { json')`);
  expect(await again.done).toBe('resync');
  again.stop();
  const event = heard((t) => t !== 'resync' && t.job === jobId);
  const e = await append(jobId, { id: randomUUID(), kind: 'remark', text: 'still here' }, by);
  expect(await event.done).toEqual({ job: jobId, seq: e.seq });
  event.stop();
  quiet.mockRestore();
});

it('a connection that dies in the middle of a write is told as a database away, and the next write goes on', async () => {
  const write = withTransaction(async (c) => {
    const { rows } = await c.query<{ pid: number }>('SELECT pg_backend_pid() AS pid');
    await getPool().query('SELECT pg_terminate_backend($1)', [rows[0]!.pid]);
    // nothing is asked while it dies: the loss comes as an event, and not as an answer
    await new Promise((r) => setTimeout(r, 100));
    await c.query('SELECT 1');
  });
  await expect(write).rejects.toMatchObject({ status: 503, code: 'database-away' });
  const e = await append(jobId, { id: randomUUID(), kind: 'remark', text: 'after it' }, by);
  expect(e.kind).toBe('remark');
});
