import { randomUUID } from 'node:crypto';
import { dropDatabase, ensureDatabase, migrate } from '../../scripts/lib/database.mjs';
import type { Person } from '$core/job/index.ts';
import { type SheetValue } from '$core/engine/engine.ts';
import { parseSheetValue } from '$core/sheets/data-sheet.ts';
import { closePool } from '$lib/server/db/pool.ts';
import { addEngine } from '$lib/server/repositories/engines.ts';
import type { Refusal } from '$lib/server/errors.ts';
import { addGauge } from '$lib/server/repositories/gauges.ts';
import { openJob } from '$lib/server/repositories/jobs.ts';
import { addPerson } from '$lib/server/repositories/people.ts';
import { SHEET } from '../support/played.ts';

/** A database of this file's own, migrated and empty; answers how to take it away again. */
export async function freshDatabase(): Promise<() => Promise<void>> {
  const admin = process.env.TEST_ADMIN_URL;
  if (!admin) throw new Error('TEST_ADMIN_URL is not set: run ./nemrik test server');
  const name = `t_${randomUUID().slice(0, 8)}`;
  await ensureDatabase(admin, name);
  const url = new URL(admin);
  url.pathname = `/${name}`;
  process.env.DATABASE_URL = url.href;
  await migrate(url.href);
  return async () => {
    await closePool();
    await dropDatabase(admin, name);
  };
}

/** One person, one engine with a full sheet, the gauges, one open job. */
export async function smallWorkshop(): Promise<{ by: Person; engineId: string; jobId: string }> {
  const by = await addPerson(`Person ${randomUUID().slice(0, 6)}`);
  const values: SheetValue[] = Object.entries(SHEET).map(([name, given]) => {
    const read = parseSheetValue(name, given, null);
    if (!read.ok) throw new Error(read.error.message);
    return { name, given, unit: null, value: read.out, source: 'works card 14' };
  });
  const engineId = await addEngine(`Engine ${randomUUID().slice(0, 6)}`, '', values, by);
  for (const [id, kind, resolution, accuracy] of [
    ['wheel', 'wheel', 0.5, 0.25],
    ['dial', 'dial', 0.01, 0.02],
    ['strobe', 'strobe', 0, 0.5]
  ] as const)
    await addGauge({
      id,
      name: id,
      kind,
      resolution,
      accuracy,
      perRevMm: kind === 'dial' ? 1 : null,
      calibratedOn: null,
      scatter: 0.02,
      scatterDof: 20
    }).catch((e: unknown) => {
      // a second workshop in one database has the gauges of the first
      if ((e as Refusal).code !== 'name-taken') throw e;
    });
  return { by, engineId, jobId: await openJob(engineId, 'fit-from-scratch', null, by) };
}

const prefs = { theme: 'light', length: 'mm', view: 'front' } as const;

/** A form as a browser sends it to a page's action. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any
export function formEvent(fields: Record<string, string>, person: Person | null): any {
  const form = new FormData();
  for (const [name, value] of Object.entries(fields)) form.set(name, value);
  return { request: new Request('http://bench/', { method: 'POST', body: form }), locals: { person, prefs } };
}

/** A request to a route of the API, with the cookies it sets. */
export function apiEvent(o: {
  params?: Record<string, string>;
  query?: string;
  body?: unknown;
  /** sent as it stands, to try what is not JSON */
  raw?: string;
  person?: Person | null;
}) {
  const set: Record<string, string> = {};
  const url = new URL(`http://bench/${o.query ?? ''}`);
  const body = o.raw ?? (o.body === undefined ? undefined : JSON.stringify(o.body));
  return {
    set,
    params: o.params ?? {},
    url,
    request: new Request(url, body === undefined ? {} : { method: 'POST', body }),
    locals: { person: o.person ?? null, prefs },
    getClientAddress: () => '192.0.2.7',
    cookies: { set: (name: string, value: string) => void (set[name] = value), get: (name: string) => set[name] }
    // eslint-disable-next-line @typescript-eslint/no-explicit-any
  } as any;
}

/** The body of an answer of the API with its status. */
export async function answer(r: Response | Promise<Response>): Promise<{
  status: number;
  ok: boolean;
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  out?: any;
  error?: { code: string; message: string; path: string };
}> {
  const response = await r;
  return { status: response.status, ...((await response.json()) as { ok: boolean }) };
}
