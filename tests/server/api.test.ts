import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Person } from '$core/job/index.ts';
import { derivedSettled } from '$lib/server/jobs/derive.ts';
import { addStock } from '$lib/server/repositories/stock.ts';
import { POST as calc } from '../../src/routes/api/calc/[name]/+server.ts';
import { POST as values } from '../../src/routes/api/engines/[id]/values/+server.ts';
import { GET as log, POST as write } from '../../src/routes/api/jobs/[id]/events/+server.ts';
import { POST as person } from '../../src/routes/api/person/+server.ts';
import { POST as prefs } from '../../src/routes/api/prefs/+server.ts';
import { GET as parts } from '../../src/routes/api/stock/+server.ts';
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

describe('events', () => {
  const send = (body: unknown, who: Person | null = by, id = jobId) =>
    answer(write(apiEvent({ params: { id }, body, person: who })));
  const reading = () => ({
    id: randomUUID(),
    kind: 'reading',
    step: 'tdc',
    slot: 'before',
    quantity: 'angle',
    text: '342.5',
    defaultUnit: 'deg',
    gaugeId: 'wheel'
  });
  it('are answered as they are written, and the same again when they are sent again', async () => {
    const r = reading();
    const first = await send(r);
    expect(first).toMatchObject({ status: 200, ok: true, out: { value: 342.5, by: { name: by.name } } });
    expect(await send(r)).toEqual(first);
  });
  it('can be asked for after a sequence number; an unreadable one asks for all', async () => {
    await send(reading());
    const get = async (query: string) =>
      (await answer(log(apiEvent({ params: { id: jobId }, query })))).out as { seq: number }[];
    const all = await get('');
    expect(await get(`?after=${all[0]!.seq}`)).toEqual(all.slice(1));
    expect(await get('?after=yesterday')).toEqual(all);
    expect(await get('?after=1000000')).toEqual([]);
  });
  it.each([
    ['no kind', { id: randomUUID() }],
    ['a kind there is not', { id: randomUUID(), kind: 'erase' }],
    ['an id that is none', { ...reading(), id: 'one' }],
    ['a figure too long to be one', { ...reading(), text: '9'.repeat(500) }],
    ['more than it should say', { ...reading(), value: 12 }],
    ['a list', [reading()]],
    ['nothing', null]
  ])('with %s are refused with a code and a sentence', async (_, body) => {
    const a = await send(body);
    expect(a).toMatchObject({ status: 422, ok: false, error: { code: 'bad-input' } });
    expect(a.error!.message.length).toBeGreaterThan(8);
  });
  it('are not read from what is not JSON, nor from more than a log can hold', async () => {
    const raw = (text: string) => answer(write(apiEvent({ params: { id: jobId }, raw: text, person: by })));
    expect(await raw('{"id":')).toMatchObject({ status: 422, error: { message: 'The body is not JSON.' } });
    expect(await raw(JSON.stringify({ text: 'x'.repeat(1_100_000) }))).toMatchObject({ status: 413 });
  });
  it('belong to a job that is there, and to somebody', async () => {
    expect(await send(reading(), by, randomUUID())).toMatchObject({ status: 404 });
    expect(await send(reading(), by, '1')).toMatchObject({ status: 404, error: { code: 'not-found' } });
    expect(await send(reading(), null)).toMatchObject({ status: 401, error: { code: 'nobody-acts' } });
  });
  it('that take a part which is gone say so and take nothing', async () => {
    const none = { rateNPerMm: null, uRate: null, preloadN: null, uPreload: null, deg: null, loads: null, low: 1 };
    await addStock({ ...none, id: 'pk-1', name: 'PK-1', kind: 'packing', thicknessMm: 0.1, uMm: 0 }, 0, by);
    const take = { id: randomUUID(), kind: 'take', step: 'packing', part: 'packing', items: ['pk-1'] };
    const a = await send(take);
    expect(a.ok).toBe(false);
    expect([409, 422]).toContain(a.status);
    expect((await answer(parts(apiEvent({})))).out).toEqual([expect.objectContaining({ id: 'pk-1', count: 0 })]);
  });
});

describe('values of a data sheet', () => {
  const enter = (list: unknown, id = engineId, who: Person | null = by) =>
    answer(values(apiEvent({ params: { id }, body: { values: list }, person: who })));
  const value = (name: string, given: string, unit: string | null = null) => ({
    name,
    given,
    unit,
    source: 'measured'
  });
  it('are entered together, each with its source', async () => {
    const a = await enter([value('gearTeeth', '11'), value('floatMinMm', '0.1', 'mm')]);
    expect(a.out.values).toMatchObject({
      gearTeeth: { value: 11, source: 'measured' },
      floatMinMm: { value: 0.1, unit: 'mm' }
    });
  });
  it('are all left out when one cannot be used', async () => {
    const a = await enter([value('floatMaxMm', '0.6', 'mm'), value('gearTeeth', 'eleven')]);
    expect(a).toMatchObject({ status: 422, ok: false });
    expect((await enter([value('rimDiameterMm', '80', 'mm')])).out.values.floatMaxMm).toBeUndefined();
  });
  it('are refused when they contradict what is there, and the field is named', async () => {
    const a = await enter([value('floatMaxMm', '0.05', 'mm')]);
    expect(a).toMatchObject({ status: 422, error: { code: 'sheet-conflict' } });
    expect(a.error!.path).toMatch(/^float(Min|Max)Mm$/);
  });
  it.each([
    ['no source', [{ name: 'gearTeeth', given: '11', unit: null, source: '' }]],
    ['no value', [{ name: 'gearTeeth', given: ' ', unit: null, source: 'plate' }]],
    ['none at all', []],
    ['a field there is not', [{ name: 'colour', given: 'red', unit: null, source: 'plate' }]]
  ])('with %s are refused', async (_, list) => {
    expect(await enter(list)).toMatchObject({ status: 422, ok: false });
  });
  it('belong to an engine that is there, and to somebody', async () => {
    expect(await enter([value('gearTeeth', '12')], 'nowhere')).toMatchObject({ status: 404 });
    expect(await enter([value('gearTeeth', '12')], engineId, null)).toMatchObject({ status: 401 });
  });
});

describe('who stands at the bench, and how they like to see things', () => {
  it('is chosen by id, or by a name that is new', async () => {
    const known = apiEvent({ body: { id: by.id } });
    expect(await answer(person(known))).toMatchObject({ status: 200, out: { name: by.name } });
    expect(known.set['nemrik-person']).toBe(by.id);
    const fresh = apiEvent({ body: { name: '  Iris Vane ' } });
    expect((await answer(person(fresh))).out.name).toBe('Iris Vane');
    expect(fresh.set['nemrik-person']).toMatch(/^iris-vane-[0-9a-f]{16}$/);
  });
  it.each([
    [{ id: 'nobody-here' }, 404],
    [{ name: '  ' }, 422],
    [{}, 422],
    [{ name: 'A', id: 'b' }, 422]
  ])('refuses %j', async (body, status) => {
    const e = apiEvent({ body });
    expect((await answer(person(e))).status).toBe(status);
    expect(e.set).toEqual({});
  });
  it('keeps one preference without losing the others', async () => {
    const e = apiEvent({ body: { length: 'in' } });
    expect((await answer(prefs(e))).out).toEqual({ theme: 'light', length: 'in', view: 'front' });
    expect(JSON.parse(e.set['nemrik-prefs'])).toEqual({ theme: 'light', length: 'in', view: 'front' });
    expect(await answer(prefs(apiEvent({ body: { theme: 'neon' } })))).toMatchObject({ status: 422 });
    expect(await answer(prefs(apiEvent({ body: { colour: 'red' } })))).toMatchObject({ status: 422 });
  });
});

describe('calculations by name', () => {
  const run = (name: string, body: unknown, raw?: string) =>
    answer(calc(apiEvent({ params: { name }, ...(raw === undefined ? { body } : { raw }) })) as Promise<Response>);
  it('answer, refuse, and are not found, each with its status', async () => {
    expect(await run('torque.convert', { value: 40, from: 'Nm', to: 'lbft' })).toMatchObject({ status: 200, ok: true });
    expect(await run('torque.convert', { value: 40 })).toMatchObject({ status: 422, error: { code: 'bad-input' } });
    expect(await run('torque.guess', {})).toMatchObject({ status: 404, error: { code: 'unknown-calc' } });
    expect(await run('torque.convert', null, 'forty')).toMatchObject({ status: 422 });
  });
});
