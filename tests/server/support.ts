import { randomUUID } from 'node:crypto';
import { dropDatabase, ensureDatabase, migrate } from '../../scripts/lib/database.mjs';
import type { Person } from '$core/job/index.ts';
import { type SheetValue } from '$core/sheets/engine.ts';
import { parseSheetValue } from '$core/sheets/sheet-values.ts';
import { closePool } from '$lib/server/db/pool.ts';
import { addEngine } from '$lib/server/repositories/engines.ts';
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
      calibratedOn: null
    });
  return { by, engineId, jobId: await openJob(engineId, 'fit-from-scratch', null, by) };
}
