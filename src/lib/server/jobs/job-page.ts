import { z } from 'zod';
import { toColumns } from '$lib/reader/columns.ts';
import { sheetRef } from '../contents.ts';
import { Refusal } from '../errors.ts';
import { learntOf } from '../repositories/hands.ts';
import { jobShown } from '../repositories/jobs.ts';
import { tray } from '../repositories/tray.ts';
import { CORE_VERSION } from '../core-version.ts';
import { freshen } from './derive.ts';
import { engineForJob } from './engine-for-job.ts';
import { unchanged } from './unchanged.ts';
import { logThrough } from './log-through.ts';
import { knownSheet } from './known-sheet.ts';

const uuid = z.uuid();

/** What a screen needs to follow a job: its head, which run sheet, its log, the engine's sheet, the gauges in the tray. */
export async function jobPage(id: string, person: string | null) {
  if (!uuid.safeParse(id).success) throw new Refusal(404, 'not-found', 'There is no such job.');
  const { engineBehind, ...job } = await jobShown(id, CORE_VERSION);
  const sheet = knownSheet(job.sheet);
  const fresh = engineBehind ? freshen(job.engineId) : Promise.resolve();
  const engineNow = fresh.then(() => engineForJob(job.engineId, id));
  const [log, { gauges, stock }, engine, learnt] = await Promise.all([
    logThrough(id, job.lastSeq),
    tray(),
    engineNow,
    person === null ? {} : learntOf(person, id)
  ]);
  return {
    job,
    sheet: sheetRef(sheet),
    /** log and tray are unpacked by the page, once on the server and once in the browser */
    log: toColumns(log),
    gauges: toColumns(gauges),
    // a sheet that takes nothing from the tray does not carry what is in it
    stock: sheet.steps.some((s) => s.takes.length > 0) ? toColumns(stock) : toColumns([]),
    /** how the hand of who sits there scatters, as other jobs told */
    hand: person === null ? null : { person, learnt },
    // the same object while it says the same: with the same log, its state need not be worked out again
    engine: unchanged(id, engine)
  };
}
