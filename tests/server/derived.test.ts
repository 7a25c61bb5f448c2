import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Person } from '$core/job/index.ts';
import { CORE_VERSION } from '$lib/server/core-version.ts';
import { getPool } from '$lib/server/db/pool.ts';
import { append } from '$lib/server/jobs/append.ts';
import { derivedSettled, freshen, stopDeriving } from '$lib/server/jobs/derive.ts';
import { engineForJob } from '$lib/server/jobs/engine-for-job.ts';
import { behindOf } from '$lib/server/repositories/derived.ts';
import { openJob } from '$lib/server/repositories/jobs.ts';
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

describe('figures that later jobs are judged with', () => {
  it('are brought up to the log by whoever reads them, and put later jobs behind, which then follow', async () => {
    const [a, b] = [
      await openJob(engineId, 'pedestal', null, by, '2026-01-05T08:00:00Z'),
      await openJob(engineId, 'pedestal', null, by, '2026-03-05T08:00:00Z')
    ];
    const say = (step: string, slot: string, text: string, gaugeId = 'dial') =>
      append(
        a,
        { id: randomUUID(), kind: 'reading', step, slot, quantity: 'length', text, defaultUnit: 'mm', gaugeId },
        by
      );
    const seen = async () => (await engineForJob(engineId, b)).earlier?.['float']?.value;
    await freshen(engineId);
    expect(await seen()).toBeUndefined();

    await say('washer', 'washer', '3.06');
    const gap = await say('gap', 'gap', '2.81');
    await say('pack-measure', 'packing', '0.40');
    // written behind the reader's back, as when a process dies between the log and its derived rows
    await derivedSettled();
    await getPool().query('UPDATE job_line SET through_seq = 0 WHERE job_id = $1', [a]);
    await getPool().query('DELETE FROM job_figure WHERE job_id = $1', [a]);
    await freshen(engineId);
    const first = await seen();
    expect(first).toBeCloseTo(3.06 - 2.81 + 0.4, 6);
    expect(await behindOf(engineId, CORE_VERSION)).toEqual([]);

    // the older job is amended: the younger one's row follows without an event of its own
    await append(
      a,
      {
        id: randomUUID(),
        kind: 'amend',
        replaces: gap.id,
        basis: gap.id,
        reason: 'misread',
        text: '2.71',
        defaultUnit: 'mm',
        gaugeId: 'dial'
      },
      by
    );
    await derivedSettled();
    expect(await behindOf(engineId, CORE_VERSION)).toContain(b);
    await freshen(engineId);
    expect(await behindOf(engineId, CORE_VERSION)).toEqual([]);
    expect((await seen())! - first!).toBeCloseTo(0.1, 6);
  });
});

// the last here: what is told to end does not begin again
describe('a server that is told to end', () => {
  it('works out nothing more behind what is written, and leaves it to whoever reads it next', async () => {
    const id = await openJob(engineId, 'pedestal', null, by, '2026-05-05T08:00:00Z');
    const remark = () => append(id, { id: randomUUID(), kind: 'remark', step: 'washer', text: 'clean' }, by);
    await freshen(engineId);
    await remark();
    await derivedSettled();
    expect(await behindOf(engineId, CORE_VERSION)).not.toContain(id);
    stopDeriving();
    await remark();
    await derivedSettled();
    expect(await behindOf(engineId, CORE_VERSION)).toContain(id);
    await freshen(engineId);
    expect(await behindOf(engineId, CORE_VERSION)).not.toContain(id);
  });
});
