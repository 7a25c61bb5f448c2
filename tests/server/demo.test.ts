import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { fillDemo } from '../../demo/fill.ts';
import { parts as seededParts, springs, stops } from '../../demo/workshop.ts';
import { CORE_VERSION } from '$lib/server/core-version.ts';
import { runSheets } from '$core/sheets/index.ts';
import { getPool } from '$lib/server/db/pool.ts';
import { cardPdf } from '$lib/server/export/card-pdf.ts';
import { cardData } from '$lib/server/jobs/card-data.ts';
import { curveEngines, curvePage } from '$lib/server/jobs/curve-page.ts';
import { derivedSettled, rebuild } from '$lib/server/jobs/derive.ts';
import { allJobIds, behindFirst } from '$lib/server/repositories/derived.ts';
import { stock } from '$lib/server/repositories/stock.ts';
import { defaultPrefs } from '$lib/reader/prefs.ts';
import { load as bay } from '../../src/routes/bay/[code]/+page.server.ts';
import { load as engine } from '../../src/routes/engines/[id]/+page.server.ts';
import { load as floor } from '../../src/routes/+page.server.ts';
import { freshDatabase } from './support.ts';

/** The pages as they are loaded, over the whole demo workshop. */
let away: () => Promise<void>;
let ids: string[];
beforeAll(async () => {
  away = await freshDatabase();
  await fillDemo();
  ids = await allJobIds();
});
afterAll(async () => {
  await derivedSettled();
  await away();
});
// eslint-disable-next-line @typescript-eslint/no-explicit-any
type Loaded = any;
const see = (load: unknown, event: unknown) => (load as (e: unknown) => Promise<Loaded>)(event);
const nobody = { person: null };
const lost = (p: Promise<unknown>) =>
  p.then(
    () => null,
    (e: { status: number }) => e.status
  );

describe('the floor', () => {
  it('says of every job what comes next, those that can go on before those that wait', async () => {
    const { jobs } = await see(floor, { url: new URL('http://bench/') });
    expect(jobs.length).toBeGreaterThan(5);
    for (const j of jobs) expect(`${j.next}${j.waitsText}`.length).toBeGreaterThan(3);
    const order = ['ready', 'helper', 'value', 'lock', 'signed'];
    const ranks: number[] = jobs.map((j: { waits: string }) => order.indexOf(j.waits));
    expect(ranks).not.toContain(-1);
    // a floor of one kind would be in order whatever the order
    expect(new Set(ranks).size).toBeGreaterThan(2);
    expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
  });
  it('can be narrowed to one person, and to words that stand in its rows', async () => {
    const { jobs, total } = await see(floor, { url: new URL('http://bench/?who=Tobias%20Renn') });
    expect(jobs.length).toBeGreaterThan(0);
    for (const j of jobs) expect([j.openedBy, j.lastBy]).toContain('Tobias Renn');
    expect(total).toBe(jobs.length);
    expect((await see(floor, { url: new URL('http://bench/?who=Nobody') })).jobs).toEqual([]);
    const found = await see(floor, { url: new URL('http://bench/?find=WINCH%20recurve') });
    expect(found.jobs.length).toBeGreaterThan(0);
    for (const j of found.jobs) expect(`${j.engine} ${j.sheet}`.toLowerCase()).toMatch(/winch.*recurve/);
  });
  it('shows a run sheet of most kinds, so that a newcomer can look at one', async () => {
    const { rows } = await getPool().query<{ sheet: string }>('SELECT DISTINCT sheet FROM job');
    expect(rows.length).toBeGreaterThanOrEqual(8);
    const known = new Set(runSheets.map((s) => s.id));
    expect(rows.filter((r) => !known.has(r.sheet))).toEqual([]);
  });
});

describe('derived rows', () => {
  it('are all up to their logs, and a rebuild of everything changes none', async () => {
    expect(await behindFirst(CORE_VERSION, 10)).toEqual([]);
    const all = () =>
      getPool()
        .query('SELECT * FROM job_figure ORDER BY job_id, place')
        .then((r) => r.rows);
    const lines = () =>
      getPool()
        .query('SELECT * FROM job_line ORDER BY job_id')
        .then((r) => r.rows);
    const before = [await all(), await lines()];
    expect(before[0]!.length).toBeGreaterThan(30);
    let told = 0;
    expect(await rebuild((done) => (told = done))).toBe(ids.length);
    expect(told).toBe(ids.length);
    expect([await all(), await lines()]).toEqual(before);
  });
  it('hold only figures that are figures, each with what it was worked out from', async () => {
    const { rows } = await getPool().query(
      `SELECT key, value, u, calc, input FROM job_figure WHERE value = 'NaN' OR u < 0 OR calc = '' OR input IS NULL`
    );
    expect(rows).toEqual([]);
  });
});

describe('the card', () => {
  // some forty cards, each printed
  it('of every job has its limits, its readings and a printed page', { timeout: 120_000 }, async () => {
    for (const id of ids) {
      const data = await cardData(id, defaultPrefs);
      expect(data.card.limits.length, data.sheet.title).toBeGreaterThan(3);
      expect(data.card.done).toBeLessThanOrEqual(data.card.total);
      for (const r of data.card.readings) expect(r.label, r.reading.slot).not.toBe(r.reading.slot);
      for (const r of data.card.results) expect(r.value).not.toMatch(/NaN|undefined|Infinity/);
      const pdf = Buffer.from(await cardPdf(data, defaultPrefs));
      expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
      expect(pdf.length).toBeGreaterThan(3000);
    }
  });
  it('of a job that is not there is not found', async () => {
    await expect(cardData('nonsense', defaultPrefs)).rejects.toMatchObject({ status: 404 });
    await expect(cardData('00000000-0000-4000-8000-000000000000', defaultPrefs)).rejects.toMatchObject({ status: 404 });
  });
});

describe('the tray', () => {
  it('lacks exactly the parts that jobs hold', async () => {
    const seeded = new Map<string, number>([
      ...seededParts.map((p): [string, number] => [p.name, p.count]),
      ...springs.map((s): [string, number] => [s.name, s.count]),
      ...stops.map((s): [string, number] => [s.name, 1])
    ]);
    const held = new Map<string, number>();
    for (const id of ids)
      for (const text of (await cardData(id, defaultPrefs)).card.parts) {
        const name = text.replace(/ \(\w+\)$/, '');
        held.set(name, (held.get(name) ?? 0) + 1);
      }
    expect(held.size).toBeGreaterThan(0);
    for (const item of await stock())
      expect([item.name, item.count + (held.get(item.name) ?? 0)]).toEqual([item.name, seeded.get(item.name)]);
  });
});

describe('an engine', () => {
  it('has its mark, float and curve over the years, oldest first', async () => {
    const pump = await see(engine, { params: { id: 'lock-4-pump' }, locals: { prefs: defaultPrefs } });
    expect(pump.marks.length).toBeGreaterThan(1);
    const days = pump.marks.map((m: { at: string }) => m.at);
    expect(days).toEqual([...days].sort());
    const winch = await see(engine, { params: { id: 'ropeway-winch' }, locals: { prefs: defaultPrefs } });
    expect(winch.trends.map((t: { title: string }) => t.title)).toContain('Advance curve');
    expect(winch.jobs.length).toBeGreaterThan(4);
  });
  it('that is not there is not found', async () => {
    expect(await lost(see(engine, { params: { id: 'no-such-engine' }, locals: { prefs: defaultPrefs } }))).toBe(404);
  });
});

describe('the curves', () => {
  it('list the engines that have limits or a sweep, with the newest', async () => {
    const { engines: all, total, out, names } = await curveEngines(1);
    expect(total).toBe(all.length);
    expect(names).toEqual(
      all
        .filter((e) => e.verdict === 'out')
        .map((e) => e.name)
        .slice(0, 3)
    );
    expect(all.slice(0, out).every((e) => e.verdict === 'out')).toBe(true);
    const winch = all.find((e) => e.id === 'ropeway-winch')!;
    expect(winch.jobId).not.toBeNull();
    expect(winch.value).toBeGreaterThan(20);
    const rest = all.slice(out).map((e) => e.name);
    expect(rest).toEqual([...rest].sort());
    expect((await curveEngines(2)).engines).toEqual([]);
  });
  it('of one engine are drawn from its newest sweep, with the tray beside it', async () => {
    const page = await curvePage('ropeway-winch');
    expect(page.job).not.toBeNull();
    expect(page.log.filter((e) => e.kind === 'reading' && e.slot === 'sweep-rpm').length).toBeGreaterThan(10);
    expect(page.stock.some((s) => s.kind === 'spring')).toBe(true);
    expect(page.spacing!.output.errors).toHaveLength(6);
  });
  it('of an engine without a sweep are empty, and of none not found', async () => {
    expect((await curvePage('generator-shed')).job).toBeNull();
    await expect(curvePage('no-such-engine')).rejects.toMatchObject({ status: 404 });
  });
});

describe('across the bay', () => {
  it('finds a job by the beginning of its id, and nothing by what could be two or none', async () => {
    const id = ids[0]!;
    expect((await see(bay, { params: { code: id.slice(0, 8) }, locals: nobody })).job.id).toBe(id);
    expect(await lost(see(bay, { params: { code: 'zzzz' }, locals: nobody }))).toBe(404);
    expect(await lost(see(bay, { params: { code: 'ffffffffff' }, locals: nobody }))).toBe(404);
    expect(await lost(see(bay, { params: { code: "' OR 1=1 --" }, locals: nobody }))).toBe(404);
  });
});
