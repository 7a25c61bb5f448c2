import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { EventInput } from '$core/job/event-input.ts';
import type { Person } from '$core/job/index.ts';
import { closePool, getPool, LIMITS, query } from '$lib/server/db/pool.ts';
import { isAway, Refusal, troubleOf, unfit } from '$lib/server/errors.ts';
import { append } from '$lib/server/jobs/append.ts';
import { derivedSettled } from '$lib/server/jobs/derive.ts';
import { inTurn } from '$lib/server/jobs/in-turn.ts';
import { jobPage } from '$lib/server/jobs/job-page.ts';
import { closeLive, subscribe, type Told } from '$lib/server/live/hub.ts';
import { openJob } from '$lib/server/repositories/jobs.ts';
import { addStock, stock } from '$lib/server/repositories/stock.ts';
import { wireTo } from '../support/wire.ts';
import { freshDatabase, smallWorkshop } from './support.ts';

let away: () => Promise<void>;
let by: Person;
let engineId: string;
let jobId: string;
beforeAll(async () => {
  away = await freshDatabase();
  ({ by, engineId, jobId } = await smallWorkshop());
});
afterAll(async () => {
  closeLive();
  await derivedSettled();
  await away();
});

const remark = (text = 'noted'): EventInput => ({ id: randomUUID(), kind: 'remark', text });
const code = (p: Promise<unknown>) =>
  p.then(
    () => 'done',
    (e: Refusal) => e.code
  );
/** Does something while another session holds what `sql` takes hold of. */
async function whileHeld<T>(sql: string, work: () => Promise<T>): Promise<T> {
  const c = new pg.Client({ connectionString: process.env.DATABASE_URL });
  await c.connect();
  try {
    await c.query('BEGIN');
    await c.query(sql);
    return await work();
  } finally {
    await c.end();
  }
}
const within = async (ms: number, work: () => Promise<unknown>) => {
  const from = performance.now();
  await work();
  expect(performance.now() - from).toBeLessThan(ms);
};

describe('a job that somebody else holds', () => {
  it('is answered in words in a few seconds, however many wait for it, and holds up no other', async () => {
    const other = await openJob(engineId, 'pedestal', null, by);
    await derivedSettled();
    await whileHeld(`SELECT 1 FROM job WHERE id = '${jobId}' FOR UPDATE`, async () => {
      const from = performance.now();
      const waiting = Array.from({ length: 40 }, () => code(append(jobId, remark(), by)));
      await new Promise((r) => setTimeout(r, 200));
      await within(1500, () => append(other, remark(), by));
      await within(1500, () => jobPage(other, null));
      await within(1500, () => jobPage(jobId, null));
      expect(new Set(await Promise.all(waiting))).toEqual(new Set(['database-busy']));
      expect(performance.now() - from).toBeLessThan(3 * LIMITS.lockMs);
    });
    expect(await code(append(jobId, remark('after'), by))).toBe('done');
  });
});

describe('a table that is held', () => {
  it('is said to be held up, with 503, and works again afterwards', async () => {
    await derivedSettled();
    await whileHeld('LOCK TABLE event IN ACCESS EXCLUSIVE MODE', async () => {
      await within(2 * LIMITS.lockMs, async () => {
        const refused = await append(jobId, remark(), by).catch((e: Refusal) => e);
        expect(refused).toMatchObject({ status: 503, code: 'database-busy' });
        expect((refused as Refusal).message).toContain('held up by something else');
      });
    });
    expect(await code(append(jobId, remark(), by))).toBe('done');
  });
});

describe('those who write to one job', () => {
  it('go in the order in which they came, and are refused when too many wait', async () => {
    const order: number[] = [];
    const all = Array.from({ length: 70 }, (_, n) =>
      inTurn('one', async () => {
        await new Promise((r) => setTimeout(r, 1));
        order.push(n);
      }).catch((e: Refusal) => e.code)
    );
    const said = await Promise.all(all);
    expect(order).toEqual(Array.from({ length: 64 }, (_, n) => n));
    expect(said.slice(64)).toEqual(Array(6).fill('database-busy'));
    // one that fails does not stop those behind it
    await expect(inTurn('two', () => Promise.reject(new Error('no')))).rejects.toThrow('no');
    expect(await inTurn('two', () => Promise.resolve(7))).toBe(7);
  });
});

describe('parts', () => {
  it('swapped between two jobs at the same moment: both get an answer, and the tray is right', async () => {
    const none = {
      rateNPerMm: null,
      uRate: null,
      preloadN: null,
      uPreload: null,
      deg: null,
      loads: null,
      low: 0,
      uMm: 0
    };
    for (const id of ['pk-a', 'pk-b'])
      await addStock({ ...none, id, name: id, kind: 'packing', thicknessMm: 0.1 }, 1, by);
    const jobs = [await openJob(engineId, 'pedestal', null, by), await openJob(engineId, 'pedestal', null, by)];
    const take = (...items: string[]): EventInput => ({
      id: randomUUID(),
      kind: 'take',
      step: 'packing',
      part: 'packing',
      items
    });
    const undo = (undoes: string): EventInput => ({ id: randomUUID(), kind: 'undo', undoes });
    for (let round = 0; round < 8; round++) {
      const [a, b] = await Promise.all([append(jobs[0]!, take('pk-a'), by), append(jobs[1]!, take('pk-b'), by)]);
      // each wants the other's as well, from both ends
      const said = await Promise.all([
        code(append(jobs[0]!, take('pk-a', 'pk-b'), by)),
        code(append(jobs[1]!, take('pk-b', 'pk-a'), by))
      ]);
      expect(said).toEqual(['out-of-stock', 'out-of-stock']);
      await Promise.all([append(jobs[0]!, undo(a.id), by), append(jobs[1]!, undo(b.id), by)]);
      expect((await stock()).filter((s) => s.id.startsWith('pk-')).map((s) => s.count)).toEqual([1, 1]);
    }
  });
});

describe('what the database says', () => {
  const error = (c: string, message = '') => Object.assign(new Error(message), { code: c });
  it.each([
    ['away', error('57P01')],
    ['away', error('ECONNREFUSED')],
    ['away', new Error('Connection terminated unexpectedly')],
    ['busy', error('55P03')],
    ['busy', error('57014')],
    ['busy', new Error('Query read timeout')],
    ['busy', new Error('timeout exceeded when trying to connect')],
    ['full', error('53100', 'could not extend file: No space left on device')],
    [null, error('23505')],
    [null, new Error('undefined is not a function')]
  ])('is understood: %s', (trouble, e) => {
    expect(troubleOf(e)).toBe(trouble);
    expect(isAway(e)).toBe(trouble !== null);
  });
  it('of a value beyond what can be kept is the input’s fault, and names no row', () => {
    for (const c of ['22003', '22008', '22021', '22P02', '23514', '23503'])
      expect(unfit(error(c))).toMatchObject({ status: 422, code: 'bad-input' });
    expect(unfit(error('42601'))).toBeNull();
  });
  it('when it is full is told in words', async () => {
    const full = () => Promise.reject(error('53100', 'could not extend file'));
    await expect(query('full', 'SELECT 1', [], { query: full } as never)).rejects.toMatchObject({
      status: 503,
      code: 'disk-full',
      message: expect.stringContaining('The disk of the server is full') as string
    });
  });
});

// the last: it takes the database behind another wire
describe('a wire that is frozen', () => {
  it(
    'is noticed by readers, by writers and by who listens, and they recover by themselves',
    { timeout: 60_000 },
    async () => {
      await derivedSettled();
      await closePool();
      closeLive(false);
      const direct = process.env.DATABASE_URL!;
      const wire = await wireTo(direct);
      process.env.DATABASE_URL = wire.url;
      const told: Told[] = [];
      const stop = subscribe((t) => told.push(t));
      try {
        await expect.poll(() => told.includes('resync'), { timeout: 5000 }).toBe(true);
        await append(jobId, remark('before'), by);
        told.length = 0;
        wire.freeze(true);
        const from = performance.now();
        const said = await Promise.all([code(append(jobId, remark(), by)), code(query('read', 'SELECT 1'))]);
        expect(said).toEqual(['database-busy', 'database-busy']);
        expect(performance.now() - from).toBeLessThan(LIMITS.answerMs + 5000);
        // long enough that who listens has found out, and hung up
        await new Promise((r) => setTimeout(r, 16_000 - (performance.now() - from)));
        wire.freeze(false);
        await expect.poll(() => told.includes('resync'), { timeout: 30_000 - (performance.now() - from) }).toBe(true);
        expect(await code(append(jobId, remark('after'), by))).toBe('done');
      } finally {
        stop();
        closeLive(false);
        await closePool();
        process.env.DATABASE_URL = direct;
        wire.close();
        expect((await getPool().query('SELECT 1 AS one')).rows).toEqual([{ one: 1 }]);
      }
    }
  );
});
