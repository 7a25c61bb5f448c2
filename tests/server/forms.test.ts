import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Person } from '$core/job/index.ts';
import { derivedSettled } from '$lib/server/jobs/derive.ts';
import { engineById, engineNames } from '$lib/server/repositories/engines.ts';
import { gauges } from '$lib/server/repositories/gauges.ts';
import { jobById } from '$lib/server/repositories/jobs.ts';
import { stock } from '$lib/server/repositories/stock.ts';
import { actions as engineActions } from '../../src/routes/engines/new/+page.server.ts';
import { actions as jobActions } from '../../src/routes/jobs/new/+page.server.ts';
import { actions as trayActions } from '../../src/routes/tray/+page.server.ts';
import { formEvent, freshDatabase, smallWorkshop } from './support.ts';

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

type Sent = Record<string, string>;
interface Failed {
  status: number;
  data: { message: string; form?: string; path?: string; sent: Sent };
}
type Act = (event: unknown) => Promise<unknown>;
const tray = (form: keyof typeof trayActions, sent: Sent, person: Person | null = by) =>
  (trayActions[form] as Act)(formEvent(sent, person)) as Promise<Failed & { added?: string }>;
const redirected = (p: Promise<unknown>) =>
  p.then(
    (answer) => ({ failed: answer as Failed }),
    (e: { status: number; location: string }) => e
  );

describe('a gauge', () => {
  const gauge = { name: 'Bore gauge', kind: 'dial', resolution: '0.01', accuracy: '0.02', perRev: '1', unit: 'mm' };
  it.each([
    ['no name', { name: ' ' }, 'Give the gauge a name.'],
    ['a kind there is not', { kind: 'yardstick' }, 'Choose what kind of gauge it is.'],
    ['an accuracy that is no figure', { accuracy: 'fine' }, 'Accuracy: '],
    ['a step in another unit', { resolution: '2 kPa' }, 'Smallest step: '],
    ['no doubt at all', { resolution: '0', accuracy: '0' }, 'A gauge that is never wrong does not exist'],
    ['a step below nothing', { resolution: '-0.01' }, 'cannot be below 0'],
    ['a pointer that never comes round', { perRev: '0' }, 'must be a length above 0'],
    ['a day that is none', { calibrated: '2026-02-31' }, 'as a date']
  ])('with %s is refused with a sentence, and what was typed is kept', async (_, wrong, message) => {
    const before = await gauges();
    const answer = await tray('gauge', { ...gauge, ...wrong });
    expect(answer.status).toBe(422);
    expect(answer.data.message).toContain(message);
    expect(answer.data.sent).toEqual({ ...gauge, ...wrong });
    expect(await gauges()).toEqual(before);
  });
  it('is put in with its turn, and not twice', async () => {
    expect(await tray('gauge', gauge)).toMatchObject({ added: 'Bore gauge' });
    expect((await gauges()).find((g) => g.name === 'Bore gauge')).toMatchObject({ perRevMm: 1, accuracy: 0.02 });
    expect(await tray('gauge', gauge)).toMatchObject({
      status: 409,
      data: { message: expect.stringContaining('already') }
    });
  });
  it('in inches is kept in millimetres', async () => {
    await tray('gauge', {
      ...gauge,
      name: 'Old dial',
      resolution: '0.001',
      accuracy: '0.001',
      perRev: '0.1',
      unit: 'in'
    });
    const g = (await gauges()).find((x) => x.name === 'Old dial')!;
    expect(g.resolution).toBeCloseTo(0.0254, 9);
    expect(g.perRevMm).toBeCloseTo(2.54, 9);
  });
  it('is not put in by nobody', async () => {
    expect(await tray('gauge', { ...gauge, name: 'Stray' }, null)).toMatchObject({
      status: 401,
      data: { message: expect.stringContaining('Choose your name') }
    });
  });
});

describe('a part', () => {
  const part = { name: 'PK-99', kind: 'packing', thickness: '0.117', u: '0.008', unit: 'mm', count: '2' };
  it.each([
    ['thickness below nothing', { thickness: '-0.1' }, 'above 0'],
    ['thickness of a doorstep', { thickness: '120' }, 'below 100 mm'],
    ['thickness in degrees', { thickness: '3°' }, 'Thickness: '],
    ['doubt below nothing', { u: '-0.01' }, 'cannot be below 0'],
    ['half a piece', { count: '1.5' }, 'Whole pieces only.'],
    ['fewer than none', { count: '-1' }, 'Not fewer than none.'],
    ['a kind it is not', { kind: 'spring' }, 'Choose what it is.'],
    ['no name', { name: '' }, 'Give it a name.']
  ])('of %s is refused', async (_, wrong, message) => {
    const answer = await tray('part', { ...part, ...wrong });
    expect(answer).toMatchObject({ status: 422, data: { form: 'part', message: expect.stringContaining(message) } });
    expect((await stock()).filter((s) => s.kind === 'packing')).toEqual([]);
  });
  it('keeps half of the ± that was typed as its standard uncertainty', async () => {
    expect(await tray('part', part)).toMatchObject({ added: 'PK-99' });
    const kept = (await stock()).find((s) => s.name === 'PK-99')!;
    expect(kept).toMatchObject({ kind: 'packing', thicknessMm: 0.117, count: 2 });
    expect(kept.uMm).toBeCloseTo(0.004, 9);
    expect(await tray('part', part)).toMatchObject({ status: 409 });
  });
});

describe('a spring', () => {
  const spring = {
    name: 'S-99',
    installed: '18',
    unit: 'mm',
    count: '2',
    'mass-1': '100',
    'length-1': '17.4',
    'mass-2': '200',
    'length-2': '18.2',
    'mass-3': '400',
    'length-3': '19.8'
  };
  it('is rated by the weights hung on it', async () => {
    expect(await tray('spring', spring)).toMatchObject({ added: 'S-99' });
    const kept = (await stock()).find((s) => s.name === 'S-99')!;
    // 0.8 mm for each 100 g: 0.980665 N / 0.8 mm; at 18 mm it carries 175 g
    expect(kept.rateNPerMm).toBeCloseTo(0.980665 / 0.8, 6);
    expect(kept.preloadN).toBeCloseTo(0.175 * 9.80665, 6);
  });
  it.each([
    ['one weight', { 'mass-2': '', 'mass-3': '' }, ''],
    ['a length missing under a weight', { 'length-2': '' }, 'Length under 200 g'],
    ['lengths the wrong way round', { 'length-1': '19.8', 'length-3': '17.4' }, 'are two lengths swapped?'],
    ['a weight that is no figure', { 'mass-1': 'heavy' }, 'Weight: ']
  ])('with %s is refused', async (_, wrong, message) => {
    const answer = await tray('spring', { ...spring, name: 'S-98', ...wrong });
    expect(answer.status).toBe(422);
    expect(answer.data.message).toContain(message);
    expect(answer.data.message.length).toBeGreaterThan(15);
    expect((await stock()).some((s) => s.name === 'S-98')).toBe(false);
  });
});

describe('a stop, and what comes and goes', () => {
  it('is kept in degrees of the crank, however it was measured', async () => {
    await tray('stop', { name: 'stop A', deg: '10', scale: 'distributor', count: '1' });
    await tray('stop', { name: 'stop B', deg: '20', scale: 'crank', count: '1' });
    const deg = (name: string) => stock().then((all) => all.find((s) => s.name === name)!.deg);
    expect(await deg('stop A')).toBe(20);
    expect(await deg('stop B')).toBe(20);
  });
  it.each(['0', '-4', '95'])('of %s degrees is refused', async (deg) => {
    expect(await tray('stop', { name: `stop ${deg}`, deg, scale: 'crank', count: '1' })).toMatchObject({
      status: 422,
      data: { message: expect.stringContaining('more than 0 and less than 90') }
    });
  });
  it('counts what came with a reason, never below nothing', async () => {
    await tray('part', { name: 'GK-1', kind: 'gasket', thickness: '0.8', u: '', unit: 'mm', count: '1' });
    const item = (await stock()).find((s) => s.name === 'GK-1')!;
    const left = async () => (await stock()).find((s) => s.id === item.id)!.count;
    await tray('move', { item: item.id, change: '3', reason: 'delivery' });
    expect(await left()).toBe(4);
    expect(await tray('move', { item: item.id, change: '-5', reason: 'scrapped' })).toMatchObject({ status: 409 });
    expect(await tray('move', { item: item.id, change: '0', reason: 'counted' })).toMatchObject({ status: 422 });
    expect(await tray('move', { item: item.id, change: '1', reason: ' ' })).toMatchObject({ status: 422 });
    expect(await left()).toBe(4);
  });
});

describe('a new engine', () => {
  const enter = (sent: Sent, person: Person | null = by) =>
    redirected((engineActions['default'] as unknown as Act)(formEvent(sent, person)));
  const sheet = { name: 'Pump house two', source: 'plate', 'v.cylinders': '4', 'v.firingOrder': '1-3-4-2' };
  it('is entered with its source, and opened', async () => {
    const answer = await enter(sheet);
    expect(answer).toMatchObject({
      status: 303,
      location: expect.stringMatching(/^\/engines\/pump-house-two-[0-9a-f]{16}$/) as string
    });
    const id = (answer as unknown as { location: string }).location.slice('/engines/'.length);
    expect((await engineById(id)).values['firingOrder']).toMatchObject({
      value: [1, 3, 4, 2],
      source: 'plate'
    });
  });
  it.each([
    ['no name', { name: '' }, 'Give the engine a name.', 'name'],
    ['values from nowhere', { source: '' }, 'Say where the values come from', 'source'],
    ['a firing order with a cylinder twice', { 'v.firingOrder': '1-3-3-2' }, '', 'firingOrder'],
    ['an order that does not fit the cylinders', { 'v.firingOrder': '1-5-3-6-2-4' }, '', 'cylinders'],
    ['limits the wrong way round', { 'v.staticMinBtdc': '9', 'v.staticMaxBtdc': '7' }, '', 'staticMinBtdc']
  ])('with %s goes back with what was typed', async (_, wrong, message, path) => {
    const answer = (await enter({ ...sheet, name: 'Spare', ...wrong })) as { failed: Failed };
    expect(answer.failed.status).toBe(422);
    expect(answer.failed.data.message).toContain(message);
    expect(answer.failed.data.message.length).toBeGreaterThan(10);
    expect([path, 'firingOrder', 'staticMaxBtdc']).toContain(answer.failed.data.path);
    expect(answer.failed.data.sent).toMatchObject(wrong);
    expect((await engineNames()).filter((e) => e.name === 'Spare')).toEqual([]);
  });
  it('is not entered by nobody', async () => {
    expect(await enter({ ...sheet, name: 'Nobody’s' }, null)).toMatchObject({ failed: { status: 401 } });
  });
});

describe('a new job', () => {
  const open = (sent: Sent, person: Person | null = by) =>
    redirected((jobActions['default'] as unknown as Act)(formEvent(sent, person)));
  it('is opened on its engine and sheet, with the day it is promised', async () => {
    const answer = (await open({ engine: engineId, sheet: 'pedestal', promised: '2026-12-04' })) as {
      location: string;
    };
    expect(answer.location).toMatch(/^\/jobs\/[0-9a-f-]{36}$/);
    const job = await jobById(answer.location.slice(6));
    expect(job).toMatchObject({ engineId, sheet: 'pedestal', promisedOn: '2026-12-04', openedBy: by.name });
  });
  it.each([
    ['no engine', { engine: '' }, 'Choose an engine.'],
    ['an engine that is gone', { engine: 'no-such-engine' }, 'not here any more'],
    ['a sheet there is not', { sheet: 'paint-it' }, 'Choose what is to be done.'],
    ['a day that is none', { promised: '2026-13-01' }, 'as a date']
  ])('with %s is refused and keeps the rest', async (_, wrong, message) => {
    const sent = { engine: engineId, sheet: 'pedestal', promised: '', ...wrong };
    const answer = (await open(sent)) as { failed: Failed };
    expect(answer.failed).toMatchObject({ status: 422, data: { message: expect.stringContaining(message), sent } });
  });
});
