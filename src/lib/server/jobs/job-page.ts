import { z } from 'zod';
import { sheetOf } from '$core/sheets/index.ts';
import { Refusal } from '../errors.ts';
import { freshen } from './derive.ts';
import { engineForJob } from './engine-for-job.ts';
import { logOf } from '../repositories/events.ts';
import { gauges } from '../repositories/gauges.ts';
import { stock } from '../repositories/stock.ts';
import { jobById } from '../repositories/jobs.ts';

const uuid = z.uuid();

/** What a screen needs to follow a job: its head, its log, the engine's sheet, the gauges in the tray. */
export async function jobPage(id: string) {
  if (!uuid.safeParse(id).success) throw new Refusal(404, 'not-found', 'There is no such job.');
  const job = await jobById(id);
  const engineNow = freshen(job.engineId).then(() => engineForJob(job.engineId, id));
  const [log, tray, engine, parts] = await Promise.all([logOf(id), gauges(), engineNow, stock()]);
  const sheet = sheetOf(job.sheet);
  if (!sheet) throw new Refusal(409, 'no-such-sheet', 'This job\u2019s run sheet is not known to this version.');
  return { job, sheet, log, gauges: tray, stock: parts, engine };
}
