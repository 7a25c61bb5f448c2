import { randomUUID } from 'node:crypto';
import type { APIRequestContext, BrowserContext } from '@playwright/test';
import pg from 'pg';
import { parseSheetValue } from '../../../src/core/sheets/data-sheet.ts';
import { looksOf } from '../../../src/core/job/run-sheet.ts';
import { crankTarget } from '../../../src/core/domains/crank/words.ts';
import { cycleDegOf, type Engine } from '../../../src/core/engine/engine.ts';
import type { JobEvent } from '../../../src/core/job/events.ts';
import { runSheets, sheetOf, stateOf } from '../../../src/core/sheets/index.ts';
import type { EventInput } from '../../../src/core/job/event-input.ts';

type Draft = EventInput extends infer T ? (T extends unknown ? Omit<T, 'id'> : never) : never;

const SHEET: Record<string, [value: unknown, given: string]> = {
  cycle: ['four-stroke', 'four-stroke'],
  cylinders: [4, '4'],
  firingOrder: [[1, 2, 4, 3], '1-2-4-3'],
  runningDirection: ['cw', 'cw'],
  strokeMm: [92, '92'],
  rodMm: [171, '171'],
  backlashDeg: [15, '15'],
  rotorDirection: ['ccw', 'ccw'],
  ratio: [0.5, '0.5'],
  rimDiameterMm: [82, '82'],
  vacuumUnit: ['none', 'none'],
  staticBtdc: [7, '7'],
  staticMinBtdc: [6, '6'],
  staticMaxBtdc: [8, '8'],
  tdcWithinDeg: [0.5, '0.5']
};

/** How much the hand of these tests scatters: little, and it is known. */
const HANDS: Record<string, number> = {
  wheel: 0.3,
  dial: 0.003,
  strobe: 0,
  micrometer: 0.003,
  blade: 0.003,
  depth: 0.005,
  tacho: 2,
  torque: 0.2,
  // the degree head of a test bench
  'bench-head': 0.02
};

/** Sets a workshop up behind the interface, for tests that are about something else than setting up. */
export async function workshop(
  people: string[],
  without: string[] = [],
  more: {
    sheet?: string;
    values?: Record<string, string>;
    gauges?: [id: string, kind: string, resolution: number, accuracy: number, perRevMm?: number][];
    springs?: { id: string; rateNPerMm: number; preloadN: number; uPreload?: number; count: number }[];
    stops?: { id: string; deg: number }[];
    parts?: { id: string; kind?: string; thicknessMm: number; uMm: number; count: number }[];
  } = {}
): Promise<{ jobId: string; engineId: string }> {
  const c = new pg.Client({ connectionString: process.env.E2E_DATABASE_URL });
  await c.connect();
  try {
    for (const id of people)
      await c.query('INSERT INTO person (id, name) VALUES ($1, $1) ON CONFLICT DO NOTHING', [id]);
    const own = more.gauges ?? [];
    const usual: typeof own = [
      ['wheel', 'wheel', 0.5, 0.25],
      ['dial', 'dial', 0.01, 0.02],
      ['strobe', 'strobe', 0, 0.5]
    ];
    const tray = [...usual.filter(([, kind]) => !own.some(([, k]) => k === kind)), ...own];
    // a tray of its own: among several gauges of a kind a job asks which it is
    await c.query('DELETE FROM gauge WHERE NOT id = ANY($1)', [tray.map(([id]) => id)]);
    for (const [id, kind, resolution, accuracy, perRevMm] of tray)
      await c.query(
        'INSERT INTO gauge (id, name, kind, resolution, accuracy, scatter, scatter_dof, per_rev_mm) VALUES ($1, $2, $3, $4, $5, $6, 20, $7) ON CONFLICT DO NOTHING',
        // a name that no test gives by hand
        [id, `${id} of the bench`, kind, resolution, accuracy, HANDS[id!] ?? HANDS[kind!] ?? 0, perRevMm ?? null]
      );
    const engineId = `engine-${randomUUID().slice(0, 8)}`;
    await c.query('INSERT INTO engine (id, name) VALUES ($1, $1)', [engineId]);
    for (const [name, [value, given]] of Object.entries(SHEET))
      if (!without.includes(name))
        await c.query(
          'INSERT INTO sheet_value (engine_id, name, given, value, source, by_person) VALUES ($1, $2, $3, $4, $5, $6)',
          [engineId, name, given, JSON.stringify(value), 'works card 14', people[0]]
        );
    for (const [name, given] of Object.entries(more.values ?? {})) {
      const read = parseSheetValue(name, given, null);
      if (!read.ok) throw new Error(read.error.message);
      await c.query(
        'INSERT INTO sheet_value (engine_id, name, given, value, source, by_person) VALUES ($1, $2, $3, $4, $5, $6)',
        [engineId, name, given, JSON.stringify(read.out), 'works card 14', people[0]]
      );
    }
    const items = [
      ...(more.parts ?? []).map((p) => ({ kind: 'packing', ...p })),
      ...(more.springs ?? []).map((s) => ({ kind: 'spring', ...s })),
      ...(more.stops ?? []).map((s) => ({ kind: 'stop', count: 1, ...s }))
    ];
    for (const i of items) await stockUp(c, i, people[0]!);
    const jobId = randomUUID();
    await c.query(`INSERT INTO job (id, engine_id, sheet, opened_by) VALUES ($1, $2, $4, $3)`, [
      jobId,
      engineId,
      people[0],
      more.sheet ?? 'fit-from-scratch'
    ]);
    return { jobId, engineId };
  } finally {
    await c.end();
  }
}

/** Puts a kind of part in the tray, as many as asked for, whatever another test has left. */
async function stockUp(c: pg.Client, item: { id: string; count: number } & Record<string, unknown>, by: string) {
  const id = item.id.toLowerCase().replaceAll(' ', '-');
  await c.query(
    `INSERT INTO stock_item (id, kind, name, thickness_mm, u_mm, rate_n_per_mm, u_rate, preload_n, u_preload, deg)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10) ON CONFLICT DO NOTHING`,
    [
      id,
      item.kind,
      item.id,
      item.thicknessMm ?? null,
      item.uMm ?? null,
      item.rateNPerMm ?? null,
      item.rateNPerMm === undefined ? null : 0.02,
      item.preloadN ?? null,
      item.uPreload ?? null,
      item.deg ?? null
    ]
  );
  await c.query(
    `INSERT INTO stock_move (item_id, change, reason, by_person)
     SELECT $1, n, 'counted', $3 FROM (SELECT $2::int - coalesce(sum(change), 0) AS n FROM stock_move WHERE item_id = $1) d WHERE n <> 0`,
    [id, item.count, by]
  );
}

export const be = (context: BrowserContext, name: string, url: string) =>
  context.addCookies([{ name: 'nemrik-person', value: name, url }]);

/** Says something to a job's log as a screen would. */
export async function say(request: APIRequestContext, base: string, jobId: string, ...drafts: Draft[]): Promise<void> {
  const post = (d: Draft) => request.post(`${base}/api/jobs/${jobId}/events`, { data: { id: randomUUID(), ...d } });
  for (const d of drafts) {
    // what a step of this name wants seen is as it should be; what another sheet's wants is refused, and not missed
    if (d.kind === 'done') for (const l of looksAt(d.step)) await post(l);
    let r = await post(d);
    // where it brings the crank, the crank stands
    if (d.kind === 'done' && !r.ok() && (await r.text()).includes('is not read on the wheel')) {
      await post(await standing(request, base, jobId, d.step));
      r = await post(d);
    }
    if (!r.ok()) throw new Error(`${d.kind}: ${await r.text()}`);
  }
}

/** The wheel read where a step brings the crank. */
async function standing(request: APIRequestContext, base: string, jobId: string, step: string): Promise<Draft> {
  const out = async <T>(path: string) =>
    ((await (await request.get(`${base}/api/jobs/${jobId}/${path}`)).json()) as { out: T }).out;
  const [log, engine] = [await out<JobEvent[]>('events'), await out<Engine>('engine')];
  const state = stateOf(sheetOf(await sheetIdOf(jobId))!, engine, log);
  const target = crankTarget(state, state.steps.find((v) => v.step.id === step)!.step, cycleDegOf(engine));
  if (target?.wheelDeg === undefined) throw new Error(`${step}: where the wheel would stand is not known`);
  // by the wheel that TDC was found with
  const used = log.flatMap((e) => (e.kind === 'reading' && e.quantity === 'angle' && e.gauge ? [e.gauge.id] : []));
  return { ...wheel('stands', target.wheelDeg.toFixed(3), step), gaugeId: used.at(-1) ?? 'wheel' } as Draft;
}

async function sheetIdOf(jobId: string): Promise<string> {
  const c = new pg.Client({ connectionString: process.env.E2E_DATABASE_URL });
  await c.connect();
  try {
    return (await c.query<{ sheet: string }>('SELECT sheet FROM job WHERE id = $1', [jobId])).rows[0]!.sheet;
  } finally {
    await c.end();
  }
}

const looksAt = (id: string): Draft[] => {
  const looks = runSheets.flatMap((s) => s.steps.filter((x) => x.id === id).flatMap(looksOf));
  return [...new Map(looks.map((l) => [l.id, l])).values()].map((l) => ({
    kind: 'choose',
    school: l.id,
    option: l.options[0]!.id
  }));
};
export const done = (...steps: string[]): Draft[] => steps.map((step) => ({ kind: 'done', step }));
/** As many counted at a step as there are. */
export const counted = (step: string, slot: string, n: number): Draft => ({
  kind: 'reading',
  step,
  slot,
  quantity: 'count',
  text: String(n),
  defaultUnit: '',
  gaugeId: null
});
export const laidOut = counted('cover', 'small-parts-out', 6);
export const wheel = (slot: string, text: string, step = 'tdc'): Draft => ({
  kind: 'reading',
  step,
  slot,
  quantity: 'angle',
  text,
  defaultUnit: 'deg',
  gaugeId: 'wheel'
});
export const depth = (text: string): Draft => ({
  kind: 'reading',
  step: 'tdc',
  slot: 'depth',
  quantity: 'length',
  text,
  defaultUnit: 'mm',
  gaugeId: 'dial'
});
export const toTdc: Draft[] = done('intake', 'safe', 'bench', 'plugs', 'bar', 'wheel');
export const foundTdc: Draft[] = [
  ...toTdc,
  depth('1.8'),
  wheel('before', '342.5'),
  wheel('after', '11.5'),
  wheel('before', '343.5'),
  wheel('after', '12'),
  wheel('before', '343'),
  wheel('after', '11.5')
];
/** A mark that no job has proved, proved on the job that is timed by it: it stands at true TDC. */
export const markProved: Draft[] = [
  { kind: 'choose', school: 'ring-seen', option: 'kept' },
  ...done('ring', 'mark-safe', 'mark-plugs', 'mark-bar'),
  { kind: 'choose', school: 'mark-quick', option: 'near' },
  ...done('mark-look', 'mark-wheel'),
  { ...depth('1.8'), step: 'mark-tdc' } as Draft,
  ...['345.0', '345.0', '345.0'].flatMap((b) => [wheel('before', b, 'mark-tdc'), wheel('after', '15.0', 'mark-tdc')]),
  ...done('mark-tdc', 'mark', 'mark-probe-out', 'mark-off')
];
export const A = process.env.E2E_A!;
export const B = process.env.E2E_B!;
export const DEMO = process.env.E2E_DEMO!;
