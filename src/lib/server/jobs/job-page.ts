import { z } from 'zod';
import { stateOf } from '$core/sheets/index.ts';
import { sheetRef } from '../contents.ts';
import { Refusal } from '../errors.ts';
import { logOf } from '../repositories/events.ts';
import { gauges } from '../repositories/gauges.ts';
import { jobById } from '../repositories/jobs.ts';
import { stock } from '../repositories/stock.ts';
import { freshen } from './derive.ts';
import { engineForJob } from './engine-for-job.ts';
import { knownSheet } from './known-sheet.ts';

const uuid = z.uuid();

/** What a screen needs to follow a job: its head, which run sheet, its log, the engine's sheet, the gauges in the tray. */
export async function jobPage(id: string) {
  if (!uuid.safeParse(id).success) throw new Refusal(404, 'not-found', 'There is no such job.');
  const job = await jobById(id);
  const sheet = knownSheet(job.sheet);
  const engineNow = freshen(job.engineId).then(() => engineForJob(job.engineId, id));
  const [log, tray, engine, parts] = await Promise.all([logOf(id), gauges(), engineNow, stock()]);
  const { steps, current } = stateOf(sheet, engine, log);
  return {
    job,
    sheet: sheetRef(sheet),
    /** the surface of the step in hand: it comes with the page */
    surface: steps[current ?? steps.length - 1]!.step.surface,
    log,
    gauges: tray,
    stock: parts,
    engine
  };
}
