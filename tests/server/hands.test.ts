import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Person } from '$core/job/index.ts';
import type { GaugeHands } from '$core/tray/hand-rows.ts';
import { getPool } from '$lib/server/db/pool.ts';
import { append } from '$lib/server/jobs/append.ts';
import { derivedSettled, rebuild } from '$lib/server/jobs/derive.ts';
import { jobPage } from '$lib/server/jobs/job-page.ts';
import { openJob } from '$lib/server/repositories/jobs.ts';
import { addPerson } from '$lib/server/repositories/people.ts';
import { load } from '../../src/routes/tray/hands/+page.server.ts';
import { freshDatabase, smallWorkshop } from './support.ts';

let away: () => Promise<void>;
let by: Person;
let engineId: string;
beforeAll(async () => {
  away = await freshDatabase();
  ({ by, engineId } = await smallWorkshop());
});
afterAll(async () => {
  await derivedSettled();
  await away();
});

const washer = async (job: string, text: string, who = by) => {
  const e = await append(
    job,
    {
      id: randomUUID(),
      kind: 'reading',
      step: 'washer',
      slot: 'washer',
      quantity: 'length',
      text,
      defaultUnit: 'mm',
      gaugeId: 'dial'
    },
    who
  );
  return (e as { gauge?: { scatter?: number; scatterDof?: number } }).gauge;
};
const pedestal = (at: string) => openJob(engineId, 'pedestal', null, by, at);
const page = async () => ((await load({} as never)) as { gauges: GaugeHands[] }).gauges;
const dial = async () => (await page()).find((g) => g.gauge.id === 'dial')!.hands;

describe('a hand is learnt', () => {
  it('from its repeats on other jobs, by person, gauge and what is read, and never from the job it reads on', async () => {
    const [a, b] = [await pedestal('2026-01-05T08:00:00Z'), await pedestal('2026-03-05T08:00:00Z')];
    const other = await addPerson('Other Hand');
    // the tray knows the dial to scatter 0.02 mm, with 20 degrees of freedom; it is all that is known
    for (const text of ['3.00', '3.10', '3.20', '3.10', '3.00'])
      expect(await washer(a, text)).toMatchObject({ scatter: 0.02, scatterDof: 20 });
    await derivedSettled();
    // five readings: mean 3.08, squares 0.0064+0.0004+0.0144+0.0004+0.0064
    const pooled = Math.sqrt((20 * 0.02 ** 2 + 0.028) / 24);
    const held = await washer(b, '3.05');
    expect(held!.scatterDof).toBe(24);
    expect(held!.scatter).toBeCloseTo(pooled, 9);
    expect(await washer(b, '3.05', other)).toMatchObject({ scatter: 0.02, scatterDof: 20 });
    // a page says the same to whoever sits there, and nothing of anybody else
    expect((await jobPage(b, by.id)).hand).toMatchObject({
      person: by.id,
      learnt: { 'dial washer': { dof: 4, n: 5 } }
    });
    expect((await jobPage(a, by.id)).hand!.learnt).toEqual({});
    expect((await jobPage(b, null)).hand).toBeNull();
  });

  it('again by the command that makes all derived rows anew', async () => {
    await derivedSettled();
    const before = await dial();
    expect(before.map((h) => h.name)).toEqual([null, by.name]);
    expect(before[1]).toMatchObject({ n: 5, jobs: 1 });
    await getPool().query('DELETE FROM job_hand');
    expect(await dial()).toHaveLength(1);
    await rebuild();
    expect(await dial()).toEqual(before);
  });

  it('and unlearnt where the reading is taken back', async () => {
    const c = await pedestal('2026-05-05T08:00:00Z');
    await washer(c, '4.00');
    await derivedSettled();
    const before = (await dial())[1]!.n;
    const wrong = randomUUID();
    await append(
      c,
      {
        id: wrong,
        kind: 'reading',
        step: 'washer',
        slot: 'washer',
        quantity: 'length',
        text: '4.40',
        defaultUnit: 'mm',
        gaugeId: 'dial'
      },
      by
    );
    await derivedSettled();
    expect((await dial())[1]!.n).toBe(before + 2);
    await append(c, { id: randomUUID(), kind: 'undo', undoes: wrong }, by);
    await derivedSettled();
    expect((await dial())[1]!.n).toBe(before);
  });

  it('a reading that was kept stays as it was known then', async () => {
    const { log } = await jobPage(await pedestal('2026-06-05T08:00:00Z'), by.id);
    expect(log).toBeDefined();
    const { rows } = await getPool().query(
      `SELECT DISTINCT (gauge->>'scatterDof')::int AS dof FROM event WHERE kind = 'reading' ORDER BY 1`
    );
    expect(rows.map((r) => r.dof)).toEqual([20, 24]);
  });
});
