import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Person } from '$core/job/index.ts';
import { authorOf, actAs, whoActs } from '$lib/server/auth/who.ts';
import { getPool } from '$lib/server/db/pool.ts';
import { Refusal } from '$lib/server/errors.ts';
import { readForm } from '$lib/server/forms.ts';
import { appendAll } from '$lib/server/jobs/append.ts';
import { derivedSettled } from '$lib/server/jobs/derive.ts';
import { withoutRows } from '$lib/server/log.ts';
import { addEngine } from '$lib/server/repositories/engines.ts';
import { logOf } from '$lib/server/repositories/events.ts';
import { addPerson, people } from '$lib/server/repositories/people.ts';
import { isClean, mustBeClean, mustBeShallow } from '$lib/server/text.ts';
import { letIn } from '../../scripts/lib/roles.mjs';
import { allowedHosts, nameIn, originsIn, protocolOf, refusal } from '../../server/hosts.mjs';
import { freshDatabase, smallWorkshop } from './support.ts';

let away: () => Promise<void>;
let by: Person;
let jobId: string;
let newJob: () => Promise<string>;
beforeAll(async () => {
  away = await freshDatabase();
  ({ by, jobId } = await smallWorkshop());
  newJob = async () => (await smallWorkshop()).jobId;
});
afterAll(async () => {
  await derivedSettled();
  await away();
});
const refused = async (work: () => unknown): Promise<Refusal> => {
  try {
    await work();
  } catch (e) {
    return e as Refusal;
  }
  throw new Error('it was taken');
};

describe('the names that are answered to', () => {
  const machine = { name: 'benchbox', addresses: ['127.0.0.1', '192.0.2.10', '2001:db8::5'] };
  it.each([
    ['bench', 'bench'],
    ['Bench.Example:4170', 'bench.example'],
    ['127.0.0.1:4170', '127.0.0.1'],
    ['[::1]:4170', '[::1]'],
    ['bench.example.', 'bench.example'],
    ['', null],
    [undefined, null],
    ['bench/evil', null],
    ['a b', null],
    ['bench:99999999', null]
  ])('are read from %j as %j', (header, name) => expect(nameIn(header)).toBe(name));

  it('are those of the machine itself while it listens to itself', () => {
    expect([...allowedHosts({}, machine)].sort()).toEqual(['127.0.0.1', '[::1]', 'localhost']);
  });
  it('are all of its own when it listens everywhere, and never “everywhere” itself', () => {
    const names = allowedHosts({ HOST: '0.0.0.0' }, machine);
    for (const n of ['localhost', 'benchbox', 'benchbox.local', '192.0.2.10', '[2001:db8::5]'])
      expect(names).toContain(n);
    expect(names).not.toContain('0.0.0.0');
    expect(names).not.toContain('bench.example');
  });
  it('are the one address when it listens on that', () => {
    const names = allowedHosts({ HOST: '192.0.2.10' }, machine);
    expect(names).toContain('192.0.2.10');
    expect(names).not.toContain('[2001:db8::5]');
  });
  it('are those that are set, and what refuses says which setting it is', () => {
    const env = { ORIGIN: 'https://nemrik.example, http://bench:8080', NEMRIK_HOSTS: 'one.example, two.example' };
    const names = allowedHosts(env, machine);
    for (const n of ['nemrik.example', 'bench', 'one.example', 'two.example']) expect(names).toContain(n);
    expect(refusal('evil.example')).toContain('"evil.example"');
    expect(refusal('evil.example')).toContain('NEMRIK_HOSTS');
  });
  it('come by https only where an origin says so', () => {
    const origins = originsIn('https://nemrik.example,http://bench:8080');
    expect(['nemrik.example', 'bench:8080', 'localhost:4170', undefined].map((h) => protocolOf(h, origins))).toEqual([
      'https',
      'http',
      'http',
      'http'
    ]);
    expect(() => originsIn('nemrik.example')).toThrow('ORIGIN is "nemrik.example"');
  });
});

describe('text', () => {
  it.each([
    ['a plain name', 'Lock 4 pump', true],
    ['a name in other letters', '泵站 二号', true],
    ['NUL', 'a\u0000b', false],
    ['an escape', '\u001b[31m', false],
    ['half a character', '\ud800', false],
    ['the other half', 'x\udc00', false],
    ['a line end in a line', 'a\nb', false],
    ['DEL', 'a\u007f', false]
  ])('with %s is clean or not', (_, text, clean) => expect(isClean(text)).toBe(clean));
  it('may run over several lines where it is a body', () => {
    expect(isClean('rpm,deg\r\n600\t12\n', true)).toBe(true);
    expect(() => mustBeClean({ text: 'two\nlines', list: [1, null, { deep: 'fine' }] })).not.toThrow();
  });
  it('is refused wherever it stands, with the place named', async () => {
    expect(await refused(() => mustBeClean({ list: [{ text: 'a\u0000' }] }))).toMatchObject({
      status: 422,
      code: 'bad-text',
      path: 'list.0.text'
    });
    expect(await refused(() => mustBeClean({ 'k\u0000': 1 }))).toMatchObject({ code: 'bad-text' });
  });
});

describe('how deep a body is nested', () => {
  const nested = (n: number) => `${'['.repeat(n)}${']'.repeat(n)}`;
  it('is limited before it is parsed, and brackets in a text do not count', async () => {
    expect((await refused(() => mustBeShallow(nested(33)))).code).toBe('too-deep');
    expect((await refused(() => mustBeShallow('{"a":'.repeat(60_000)))).code).toBe('too-deep');
    expect(() => mustBeShallow(nested(32))).not.toThrow();
    expect(() => mustBeShallow(JSON.stringify({ a: `"${nested(99)}\\`, b: [nested(99)] }))).not.toThrow();
    expect(() => mustBeShallow('[[],[]]')).not.toThrow();
  });
});

describe('a form', () => {
  const post = (body: BodyInit, headers: Record<string, string> = {}) =>
    new Request('http://bench/', { method: 'POST', body, headers });
  it('is read as text, the last of two fields of one name', async () => {
    const form = new FormData();
    form.append('name', 'Ann');
    form.append('name', 'Ann Other');
    form.append('__proto__', 'x');
    expect(await readForm(post(form))).toEqual({ name: 'Ann Other' });
  });
  it('with a file where text is meant is refused', async () => {
    const form = new FormData();
    form.set('name', new File(['x'], 'x.txt'));
    expect(await refused(() => readForm(post(form)))).toMatchObject({ status: 422, code: 'bad-form', path: 'name' });
  });
  it.each([
    ['a boundary that never comes', '--x\r\nnothing', { 'content-type': 'multipart/form-data; boundary=y' }],
    ['no boundary at all', 'x', { 'content-type': 'multipart/form-data' }],
    ['JSON', '{}', { 'content-type': 'application/json' }]
  ])('with %s is refused in words', async (_, body, headers) => {
    const r = await refused(() => readForm(post(body, headers)));
    expect([r.status, r.code]).toEqual([400, 'bad-form']);
    expect(r.message).toContain('Load the page again');
  });
  it('with a character that cannot be kept names its field', async () => {
    const form = new FormData();
    form.set('name', 'a\u0000b');
    expect(await refused(() => readForm(post(form)))).toMatchObject({ status: 422, code: 'bad-text', path: 'name' });
  });
  it('with fields beyond measure is refused', async () => {
    const form = new FormData();
    for (let k = 0; k < 600; k++) form.set(`f${k}`, '1');
    expect(await refused(() => readForm(post(form)))).toMatchObject({ status: 413 });
  });
});

describe('names', () => {
  it('are compared as names: other letters, a sign more, or what comes after sixty letters makes another', async () => {
    const long = 'n'.repeat(70);
    for (const name of ['Ann', 'Ann!', '张伟', '王芳', `${long}1`, `${long}2`]) await addPerson(name);
    const names = (await people()).map((p) => p.name);
    for (const name of ['Ann', 'Ann!', '张伟', '王芳', `${long}1`, `${long}2`]) expect(names).toContain(name);
  });
  it('are the same when only the way of writing them differs', async () => {
    await addPerson('Zoë  Marsh');
    for (const same of ['zoë marsh', '  Zoë Marsh ', 'Zoe\u0308 Marsh'])
      expect(await refused(() => addPerson(same))).toMatchObject({ status: 409, code: 'name-taken' });
  });
  it('do not give their ids away', async () => {
    const ids = await Promise.all(['Pump 1', 'Pump 2', '泵'].map((n) => addEngine(n, '', [], by)));
    expect(new Set(ids.map((i) => i.slice(-16))).size).toBe(3);
    for (const id of ids) expect(id).toMatch(/^([a-z0-9-]+-)?[0-9a-f]{16}$/);
  });
});

describe('the log of the server', () => {
  it('says what happened and where, and holds nothing of a row', async () => {
    await addPerson('Ursula Quite-Private');
    const failed = await getPool()
      .query(`INSERT INTO person (id, name) VALUES ('x', 'Ursula Quite-Private')`)
      .catch((e: unknown) => e);
    expect(JSON.stringify(failed)).toContain('quite-private');
    const said = withoutRows(failed);
    expect(said.toLowerCase()).not.toContain('quite-private');
    expect(said).toContain('database error, 23505, table person, rule person_name');
    expect(said).toContain('doors.test.ts');
    const outer = withoutRows(Object.assign(new Error('outer'), { cause: failed }));
    expect(outer).toContain('Error: outer');
    expect(outer.toLowerCase()).not.toContain('quite-private');
  });
});

describe('who a reading belongs to', () => {
  const browser = () => {
    const jar = new Map<string, string>();
    return {
      set: (k: string, v: string) => void jar.set(k, v),
      get: (k: string) => jar.get(k)
    } as unknown as Parameters<typeof actAs>[0];
  };
  const locals = (person: Person | null) => ({ person }) as App.Locals;
  it('is whoever typed it, where they have worked at this browser', async () => {
    const here = browser();
    const other = await addPerson('Otto Later');
    actAs(here, by, false);
    actAs(here, other, false);
    expect(await whoActs(here)).toEqual(other);
    expect(await authorOf(here, locals(other), by.id)).toEqual(by);
    expect(await authorOf(here, locals(other), undefined)).toEqual(other);
    // the name is forgotten, the reading is not
    expect(await authorOf(here, locals(null), by.id)).toEqual(by);
  });
  it('is nobody who has not: the reading is refused and says what to do', async () => {
    const here = browser();
    const stranger = await addPerson('Never Here');
    actAs(here, by, false);
    const r = await refused(() => authorOf(here, locals(by), stranger.id));
    expect([r.status, r.code]).toEqual([403, 'not-yours']);
    expect(r.message).toContain('Choose their name at the top');
    expect(await refused(() => authorOf(here, locals(null), undefined))).toMatchObject({ status: 401 });
  });
  it('is not read from a cookie that holds no name', async () => {
    for (const odd of ["' OR 1=1", 'a\u0000', 'x'.repeat(5000)]) {
      const here = browser();
      (here as unknown as { set: (k: string, v: string) => void }).set('nemrik-person', odd);
      expect(await whoActs(here)).toBeNull();
    }
  });
});

describe('several events at once', () => {
  const remark = (text: string) => ({ id: randomUUID(), kind: 'remark' as const, text });
  it('are written in their order, and the same again when they are sent again', async () => {
    const all = ['one', 'two', 'three'].map(remark);
    const first = await appendAll(jobId, all, by);
    expect(first.map((e) => e.seq)).toEqual([1, 2, 3]);
    expect(await appendAll(jobId, all, by)).toEqual(first);
    expect(await logOf(jobId)).toHaveLength(3);
  });
  it('are all left out when one is refused, and the refusal says which', async () => {
    const before = await logOf(jobId);
    const wrong = { id: randomUUID(), kind: 'done' as const, step: 'no-such-step' };
    const r = await refused(() => appendAll(jobId, [remark('kept?'), wrong, remark('nor this')], by));
    expect([r.status, r.details['at']]).toEqual([422, 1]);
    expect(await logOf(jobId)).toEqual(before);
  });
  it('count for one another: what the first says holds for the second', async () => {
    const said = remark('undone at once');
    const [, undone] = await appendAll(jobId, [said, { id: randomUUID(), kind: 'undo', undoes: said.id }], by);
    expect(undone).toMatchObject({ kind: 'undo', undoes: said.id });
  });
  it('keep each figure as typed, its gauge and its number, however many are written together', async () => {
    const id = await newJob();
    const many = Array.from({ length: 450 }, (_, k) => ({
      id: randomUUID(),
      kind: 'reading' as const,
      step: 'tdc',
      slot: 'top',
      quantity: 'angle' as const,
      text: (1 + k / 1000).toFixed(3),
      defaultUnit: 'deg' as const,
      gaugeId: null
    }));
    const note = remark('between them');
    const sent = [...many.slice(0, 260), note, ...many.slice(260)];
    const out = await appendAll(id, sent, by);
    expect(out.map((e) => e.seq)).toEqual(sent.map((_, k) => k + 1));
    const log = await logOf(id);
    expect(log).toEqual(out);
    expect(log.map((e) => e.id)).toEqual(sent.map((e) => e.id));
    expect(log.at(-1)).toMatchObject({ text: '1.449', value: 1.449, resolution: 0.001, gauge: null });
    expect(await appendAll(id, sent, by)).toEqual(out);
    // one of them that is impossible leaves all of them out
    const other = await newJob();
    const wrong = [
      ...many.slice(0, 3).map((m) => ({ ...m, id: randomUUID() })),
      { ...many[3]!, id: randomUUID(), slot: 'none' }
    ];
    const r = await refused(() => appendAll(other, wrong, by));
    expect(r.details['at']).toBe(3);
    expect(await logOf(other)).toEqual([]);
  });
  it('of one id twice are one', async () => {
    const twice = remark('once');
    const out = await appendAll(jobId, [twice, twice], by);
    expect(out[0]).toEqual(out[1]);
    expect((await logOf(jobId)).filter((e) => e.id === twice.id)).toHaveLength(1);
  });
});

describe('the application’s own role', () => {
  const role = 'nemrik_test_app';
  let app: pg.Client;
  beforeAll(async () => {
    await letIn(process.env.DATABASE_URL!, role, 'a-password');
    const url = new URL(process.env.DATABASE_URL!);
    [url.username, url.password] = [role, 'a-password'];
    app = new pg.Client({ connectionString: url.href });
    await app.connect();
  });
  afterAll(() => app.end());
  const may = (sql: string) =>
    app.query(sql).then(
      () => 'may',
      (e: { code: string }) => e.code
    );
  it('adds to the log and reads it, and can neither change nor empty it', async () => {
    expect(await may('SELECT count(*) FROM event')).toBe('may');
    expect(
      await may(
        `INSERT INTO event (id, job_id, seq, kind, by_person, body) VALUES ('${randomUUID()}', '${jobId}', 900, 'remark', '${by.id}', '{}')`
      )
    ).toBe('may');
    for (const table of ['event', 'sheet_value', 'stock_move', 'person'])
      for (const sql of [`DELETE FROM ${table}`, `TRUNCATE ${table} CASCADE`, `DROP TABLE ${table}`])
        expect([sql, await may(sql)]).toEqual([sql, '42501']);
    expect(await may(`UPDATE event SET at = now()`)).toBe('42501');
    expect(await may(`UPDATE job SET engine_id = 'x'`)).toBe('42501');
  });
  it('takes numbers, holds parts and works rows out, and owns nothing', async () => {
    for (const sql of [
      `UPDATE job SET last_seq = last_seq WHERE id = '${jobId}'`,
      'SELECT 1 FROM stock_item FOR UPDATE',
      'DELETE FROM job_figure',
      'UPDATE job_line SET next = next',
      "SELECT pg_notify('changes', '{}')"
    ])
      expect([sql, await may(sql)]).toEqual([sql, 'may']);
    for (const sql of [
      'CREATE TABLE mine (x int)',
      'SELECT * FROM pgmigrations',
      `CREATE ROLE another`,
      `ALTER TABLE event DISABLE TRIGGER ALL`
    ])
      expect([sql, await may(sql)]).toEqual([sql, '42501']);
  });
});
