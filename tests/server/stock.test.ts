import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { EventInput } from '$core/job/event-input.ts';
import type { Person } from '$core/job/index.ts';
import { getPool } from '$lib/server/db/pool.ts';
import { append } from '$lib/server/jobs/append.ts';
import { derivedSettled } from '$lib/server/jobs/derive.ts';
import { openJob } from '$lib/server/repositories/jobs.ts';
import { addPerson } from '$lib/server/repositories/people.ts';
import { addStock, moveStock, stock, type NewItem } from '$lib/server/repositories/stock.ts';
import { freshDatabase, smallWorkshop } from './support.ts';

let away: () => Promise<void>;
let by: Person;
let other: Person;
let engineId: string;
const packing = (id: string, thicknessMm: number): NewItem => ({
  id,
  name: id.toUpperCase(),
  kind: 'packing',
  thicknessMm,
  uMm: 0.004,
  rateNPerMm: null,
  uRate: null,
  uPreload: null,
  preloadN: null,
  deg: null,
  low: 1,
  loads: null
});
beforeAll(async () => {
  away = await freshDatabase();
  ({ by, engineId } = await smallWorkshop());
  other = await addPerson('Other Hand');
  await addStock(packing('pk-08', 0.081), 2, by);
  await addStock(packing('pk-12', 0.117), 1, by);
});
afterAll(async () => {
  await derivedSettled();
  await away();
});

const job = () => openJob(engineId, 'pedestal', null, by);
const take = (...items: string[]): EventInput => ({
  id: randomUUID(),
  kind: 'take',
  step: 'packing',
  part: 'packing',
  items
});
const left = async (id: string) => (await stock()).find((s) => s.id === id)!.count;
const refusal = (p: Promise<unknown>) =>
  p.then(
    () => null,
    (e: { code: string; status: number; message: string }) => e
  );

describe('parts of the tray', () => {
  it('leave it when taken, written on the job as they measured then, and come back when undone', async () => {
    const id = await job();
    const e = await append(id, take('pk-08', 'pk-08'), by);
    expect(e.kind === 'take' && e.parts.map((p) => [p.name, p.thicknessMm])).toEqual([
      ['PK-08', 0.081],
      ['PK-08', 0.081]
    ]);
    expect(await left('pk-08')).toBe(0);
    await append(id, { id: randomUUID(), kind: 'undo', undoes: e.id }, by);
    expect(await left('pk-08')).toBe(2);
  });

  it('go back when another pick takes their place, and undoing that brings the first pick out again', async () => {
    const id = await job();
    await append(id, take('pk-12'), by);
    const second = await append(id, take('pk-08'), by);
    expect([await left('pk-12'), await left('pk-08')]).toEqual([1, 1]);
    await append(id, { id: randomUUID(), kind: 'undo', undoes: second.id }, by);
    expect([await left('pk-12'), await left('pk-08')]).toEqual([0, 2]);
    await append(id, take(), by);
    expect([await left('pk-12'), await left('pk-08')]).toEqual([1, 2]);
  });

  it('go to one of two who want the last piece at once; the other is told who has it, and nothing is written', async () => {
    const [mine, yours] = [await job(), await job()];
    const both = await Promise.all([
      refusal(append(mine, take('pk-12'), by)),
      refusal(append(yours, take('pk-12'), other))
    ]);
    const refused = both.filter((x) => x !== null);
    expect(refused).toHaveLength(1);
    expect(refused[0]!.status).toBe(409);
    expect(refused[0]!.code).toBe('out-of-stock');
    expect(refused[0]!.message).toMatch(/^PK-12 is no longer in the tray\. (Person|Other Hand).* took it for Engine/);
    expect(await left('pk-12')).toBe(0);
    const { rows } = await getPool().query(
      "SELECT count(*)::int AS n FROM event WHERE kind = 'take' AND job_id = ANY($1)",
      [[mine, yours]]
    );
    expect(rows[0].n).toBe(1);
  });

  it('are refused when they are not there, are of another kind, or the step takes none', async () => {
    const id = await job();
    expect((await refusal(append(id, take('pk-99'), by)))!.code).toBe('no-such-part');
    expect((await refusal(append(id, take('pk-08', 'pk-08', 'pk-08'), by)))!.code).toBe('out-of-stock');
    const wrong = { ...take('pk-08'), step: 'washer' } as EventInput;
    expect((await refusal(append(id, wrong, by)))!.code).toBe('no-such-choice');
    expect(await left('pk-08')).toBe(2);
  });

  it('come and go outside a job with a reason, never below none, and no count is ever edited', async () => {
    await moveStock('pk-08', 3, 'bought', by);
    expect(await left('pk-08')).toBe(5);
    expect((await refusal(moveStock('pk-08', -6, 'lost', by)))!.message).toBe('There are 5 of PK-08, not 6.');
    await expect(getPool().query('UPDATE stock_move SET change = 9')).rejects.toThrow('append-only');
  });
});
