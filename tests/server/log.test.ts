import { looksOf } from '$core/job/run-sheet.ts';
import { sheetOf } from '$core/sheets/index.ts';
import { randomUUID } from 'node:crypto';
import { jobPage } from '$lib/server/jobs/job-page.ts';
import { enterValues } from '$lib/server/repositories/engines.ts';
import { logThrough } from '$lib/server/jobs/log-through.ts';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import type { EventInput } from '$core/job/event-input.ts';
import type { Person } from '$core/job/index.ts';
import { getPool } from '$lib/server/db/pool.ts';
import { append } from '$lib/server/jobs/append.ts';
import { derive, derivedSettled, rebuild } from '$lib/server/jobs/derive.ts';
import { fromColumns } from '$lib/reader/columns.ts';
import { logOf } from '$lib/server/repositories/events.ts';
import { LIST_PAGE } from '$lib/server/find.ts';
import { CORE_VERSION } from '$lib/server/core-version.ts';
import { floor as floorOf } from '$lib/server/repositories/jobs.ts';
import { freshDatabase, smallWorkshop } from './support.ts';

const floor = async () => (await floorOf(CORE_VERSION, { who: null, words: [], sheets: [] }, 0, LIST_PAGE)).rows;

let away: () => Promise<void>;
let by: Person;
let jobId: string;
beforeAll(async () => {
  away = await freshDatabase();
  ({ by, jobId } = await smallWorkshop());
});
afterAll(async () => {
  await derivedSettled();
  await away();
});

const reading = (text: string, slot = 'before', id = randomUUID()): EventInput => ({
  id,
  kind: 'reading',
  step: 'tdc',
  slot,
  quantity: 'angle',
  text,
  defaultUnit: 'deg',
  gaugeId: 'wheel'
});
/** Writes as a screen does: who waited too long on a slow machine is told so, and sends the same again. */
async function heard(input: EventInput): Promise<void> {
  for (let k = 0; k < 20; k++) {
    const refused = await refusal(append(jobId, input, by));
    if (refused === null) return;
    if (refused.status !== 503) throw new Error(refused.message);
  }
  throw new Error('never heard');
}
const refusal = (p: Promise<unknown>) =>
  p.then(
    () => null,
    (e: { code: string; status: number; message: string }) => e
  );

describe('the log', () => {
  it('stores a reading once however often it is sent, also at the same moment', async () => {
    const one = reading('342.5');
    const answers = await Promise.all(Array.from({ length: 8 }, () => append(jobId, one, by)));
    expect(new Set(answers.map((a) => a.seq)).size).toBe(1);
    expect((await logOf(jobId)).filter((e) => e.id === one.id)).toHaveLength(1);
  });

  it('numbers events without gaps when many write at once', async () => {
    const before = (await logOf(jobId)).length;
    const inputs = Array.from({ length: 25 }, (_, k) => reading(String(340 + k / 10)));
    await Promise.all(inputs.map(heard));
    const log = await logOf(jobId);
    expect(log.map((e) => e.seq)).toEqual(log.map((_, k) => k + 1));
    expect(log.slice(before).map((e) => e.id)).toEqual(expect.arrayContaining(inputs.map((i) => i.id)));
    expect(log).toHaveLength(before + 25);
  });

  it('keeps what was typed, what was understood, the gauge as it was, and who', async () => {
    const e = await append(
      jobId,
      { ...reading('1r 0.80', 'depth'), quantity: 'length', gaugeId: 'dial' } as EventInput,
      by
    );
    await getPool().query('UPDATE gauge SET accuracy = 9 WHERE id = $1', ['dial']);
    const stored = (await logOf(jobId)).find((x) => x.id === e.id)!;
    expect(stored).toMatchObject({
      kind: 'reading',
      text: '1r 0.80',
      value: 1.8,
      unit: 'mm',
      gauge: { accuracy: 0.02 },
      by
    });
  });

  it('refuses what the core does not admit, and writes nothing', async () => {
    const before = (await logOf(jobId)).length;
    expect(await refusal(append(jobId, reading('12 kPa'), by))).toMatchObject({ status: 422, code: 'wrong-unit' });
    expect(await refusal(append(jobId, reading('999999999'), by))).toMatchObject({
      status: 422,
      code: 'out-of-range',
      message: 'No engine gives that: more than 3600°. Look at the figure again.'
    });
    expect(await refusal(append(jobId, { ...reading('5'), step: 'safe' } as EventInput, by))).toMatchObject({
      code: 'no-such-slot'
    });
    expect(await refusal(append(jobId, { id: randomUUID(), kind: 'done', step: 'plugs' }, by))).toMatchObject({
      code: 'step-blocked'
    });
    expect(await refusal(append(jobId, { id: randomUUID(), kind: 'undo', undoes: randomUUID() }, by))).toMatchObject({
      code: 'not-undoable'
    });
    expect(await refusal(append(randomUUID(), reading('1'), by))).toMatchObject({ status: 404 });
    expect(await logOf(jobId)).toHaveLength(before);
  });

  it('tells the second of two people who amend the same state of a reading, and lets them amend the new one', async () => {
    const r = await append(jobId, reading('350'), by);
    const amend = (text: string, basis: string): EventInput => ({
      id: randomUUID(),
      kind: 'amend',
      replaces: r.id,
      basis,
      reason: 'misread',
      text,
      defaultUnit: 'deg',
      gaugeId: 'wheel'
    });
    const both = await Promise.allSettled([
      append(jobId, amend('351', r.id), by),
      append(jobId, amend('352', r.id), by)
    ]);
    const won = both.filter((x) => x.status === 'fulfilled');
    const lost = both.find((x) => x.status === 'rejected');
    expect(won).toHaveLength(1);
    const winner = won[0]!.value as { id: string; text: string };
    expect(lost!.reason).toMatchObject({ status: 409, code: 'amended-meanwhile' });
    expect(lost!.reason.message).toContain(`${by.name} has just amended this reading to ${winner.text}`);
    await expect(append(jobId, amend('353', winner.id), by)).resolves.toMatchObject({ kind: 'amend', text: '353' });
  });
});

describe('the schema guards what the code should', () => {
  const sql = (text: string, values: unknown[] = []) =>
    getPool()
      .query(text, values)
      .then(
        () => null,
        (e: { code: string }) => e.code
      );

  it('never lets an event or a data-sheet value be changed or removed', async () => {
    expect(await sql(`UPDATE event SET typed = '1' WHERE job_id = $1`, [jobId])).toBe('23001');
    expect(await sql('DELETE FROM event WHERE job_id = $1', [jobId])).toBe('23001');
    expect(await sql(`UPDATE sheet_value SET given = '1'`)).toBe('23001');
  });

  it('refuses half a reading, an amendment without reason, and a figure that is not finite', async () => {
    const insert = (columns: string, values: string) =>
      sql(
        `INSERT INTO event (id, job_id, seq, kind, by_person${columns}) VALUES (gen_random_uuid(), $1, 9000 + floor(random() * 1e6)::int, ${values})`,
        [jobId]
      );
    expect(await insert(', typed', `'reading', '${by.id}', '1'`)).toBe('23514');
    expect(await insert(', typed, unit, value, resolution', `'reading', '${by.id}', '1', 'mm', 'NaN', 0.1`)).toBe(
      '23514'
    );
    expect(await insert('', `'skip', '${by.id}'`)).toBe('23514');
    expect(await insert('', `'done', 'nobody-here'`)).toBe('23503');
  });
});

/** Done by a careful hand: what the step wants seen is as it should be. */
async function doneAt(job: string, id: string) {
  const step = sheetOf('fit-from-scratch')!.steps.find((s) => s.id === id)!;
  for (const l of looksOf(step))
    await append(job, { id: randomUUID(), kind: 'choose', school: l.id, option: l.options[0]!.id }, by);
  return append(job, { id: randomUUID(), kind: 'done', step: id }, by);
}

describe('derived rows', () => {
  it('say what the log says, and a rebuild changes nothing', async () => {
    const done = (step: string) => doneAt(jobId, step);
    for (const s of ['intake', 'safe', 'bench', 'plugs']) await done(s);
    await derivedSettled();
    await derive(jobId);
    const rows = async () => ({
      lines: (await getPool().query('SELECT * FROM job_line ORDER BY job_id')).rows,
      figures: (await getPool().query('SELECT * FROM job_figure ORDER BY job_id, place')).rows
    });
    const before = await rows();
    expect(before.lines).toHaveLength(1);
    expect(before.lines[0]).toMatchObject({ done: 4, waits: 'ready' });
    await rebuild();
    expect(await rows()).toEqual(before);
  });

  it('stand on the floor with what comes next, and an older state never overwrites a newer one', async () => {
    const [row] = await floor();
    expect(row).toMatchObject({ done: 4, behind: false });
    await Promise.all([derive(jobId), doneAt(jobId, 'bar')]);
    await derivedSettled();
    await derive(jobId);
    expect((await floor())[0]).toMatchObject({ done: 5 });
  });
});

describe('the log of a page', () => {
  it('is the same however much of it was known before, and never short of what was asked for', async () => {
    const { jobId: id } = await smallWorkshop();
    const say = (text: string) => append(id, { id: randomUUID(), kind: 'remark', text }, by);
    expect(await logThrough(id, 0)).toEqual([]);
    for (const text of ['one', 'two', 'three']) {
      const { seq } = await say(text);
      const log = await logThrough(id, seq);
      expect(log).toEqual(await logOf(id));
      expect(log).toHaveLength(seq);
    }
  });
  it('comes with all that the screen shows in one question to the database', async () => {
    const { jobId: id } = await smallWorkshop();
    await append(id, { id: randomUUID(), kind: 'remark', text: 'one' }, by);
    await derivedSettled();
    const asked = vi.spyOn(getPool(), 'query');
    try {
      expect((await jobPage(id, by.id)).log.rows).toBe(1);
      expect(asked).toHaveBeenCalledTimes(1);
    } finally {
      asked.mockRestore();
    }
    // two screens at once are told the same, whatever either knew before
    await append(id, { id: randomUUID(), kind: 'remark', text: 'two' }, by);
    const [a, b] = await Promise.all([jobPage(id, by.id), jobPage(id, null)]);
    expect(fromColumns(a.log)).toEqual(await logOf(id));
    expect(fromColumns(b.log)).toEqual(await logOf(id));
  });
  it('carries one engine while the engine says the same, and another when its sheet has changed', async () => {
    const { jobId: id, engineId: its } = await smallWorkshop();
    const before = await jobPage(id, null);
    await append(id, { id: randomUUID(), kind: 'remark', text: 'nothing of the engine' }, by);
    expect((await jobPage(id, null)).engine).toBe(before.engine);
    await enterValues(its, [{ name: 'idleRpm', given: '612', unit: 'rpm', value: 612, source: 'plate' }], by);
    const after = (await jobPage(id, null)).engine;
    expect(after.values['idleRpm']).toMatchObject({ value: 612 });
    expect(before.engine.values['idleRpm']?.value).not.toBe(612);
  });
});
