import { sheetOf } from '$core/sheets/index.ts';
import { sheetRef } from '../contents.ts';
import { LIST_PAGE, pagesOf } from '../find.ts';
import { curveCounts, curveLines, newestSpacing, newestSweep } from '../repositories/curves.ts';
import { engineById } from '../repositories/engines.ts';
import { logOf } from '../repositories/events.ts';
import { stock } from '../repositories/stock.ts';
import { catchUpSoon, freshen } from './derive.ts';
import { engineForJob } from './engine-for-job.ts';

/** A page of the engines that have limits of a curve or a measured one, with the newest, and what all of them come to. */
export async function curveEngines(page: number) {
  catchUpSoon();
  const [engines, counts] = await Promise.all([curveLines(page - 1, LIST_PAGE), curveCounts()]);
  return { engines, ...counts, page, pages: pagesOf(counts.total) };
}

/** What the curves of one engine are drawn from: its newest job with a sweep, whole, and the tray. */
export async function curvePage(engineId: string) {
  await freshen(engineId);
  const [engine, job, lobes, parts] = await Promise.all([
    engineById(engineId),
    newestSweep(engineId),
    newestSpacing(engineId),
    stock()
  ]);
  const spacing = lobes ? { ...lobes, at: lobes.at.toISOString() } : null;
  const sheet = job ? sheetOf(job.sheet) : undefined;
  if (!job || !sheet) return { engine, job: null, sheet: null, log: [], stock: parts, spacing };
  const [full, log] = await Promise.all([engineForJob(engineId, job.id), logOf(job.id)]);
  return { engine: full, job: { id: job.id, closed: job.closed }, sheet: sheetRef(sheet), log, stock: parts, spacing };
}
