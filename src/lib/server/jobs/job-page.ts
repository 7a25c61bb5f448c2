import { z } from 'zod';
import { toColumns } from '$lib/reader/columns.ts';
import { sheetRef } from '../contents.ts';
import { Refusal } from '../errors.ts';
import { toEngineBefore } from '../repositories/derived.ts';
import { toLog } from '../repositories/events.ts';
import { byReading } from '../repositories/hands.ts';
import { jobShown } from '../repositories/job-shown.ts';
import { CORE_VERSION } from '../core-version.ts';
import { freshen } from './derive.ts';
import { EARLIER, seenByJob } from './engine-for-job.ts';
import { unchanged } from './unchanged.ts';
import { grown, knownLog } from './log-through.ts';
import { knownSheet } from './known-sheet.ts';

const uuid = z.uuid();

/** What a screen needs to follow a job: its head, which run sheet, its log, the engine's sheet, the gauges in the tray. */
export async function jobPage(id: string, person: string | null) {
  if (!uuid.safeParse(id).success) throw new Refusal(404, 'not-found', 'There is no such job.');
  const known = knownLog(id);
  const ask = () => jobShown(id, { coreVersion: CORE_VERSION, known: known.length, person, keys: EARLIER });
  const first = await ask();
  const sheet = knownSheet(first.job.sheet);
  // what earlier jobs of the engine found is worked out before it is read
  const shown = first.engineBehind ? await freshen(first.job.engineId).then(ask) : first;
  const log = grown(id, known, shown.news === null ? [] : toLog(JSON.parse(shown.news)));
  const gauges = unchanged('gauges', shown.gauges, toColumns);
  return {
    job: shown.job,
    sheet: sheetRef(sheet),
    /** log and tray are unpacked by the page, once on the server and once in the browser */
    log: toColumns(log),
    gauges,
    // a sheet that takes nothing from the tray does not carry what is in it
    stock: sheet.steps.some((s) => s.takes.length > 0) ? unchanged('stock', shown.stock, toColumns) : NOTHING,
    /** how the hand of who sits there scatters, as other jobs told */
    hand: person === null ? null : { person, learnt: shown.learnt === null ? {} : byReading(JSON.parse(shown.learnt)) },
    // the same object while it says the same: with the same log, its state need not be worked out again
    engine: unchanged(`engine ${id}`, shown.engine, (told) => seenByJob(toEngineBefore(told, EARLIER)))
  };
}

const NOTHING = toColumns([]);
