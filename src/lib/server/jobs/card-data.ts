import { z } from 'zod';
import { jobState } from '$core/job/index.ts';
import { sheetOf } from '$core/sheets/index.ts';
import { jobCard } from '$core/job/card.ts';
import type { Prefs } from '$lib/prefs.ts';
import { lengthText } from '$lib/ui/units.ts';
import { Refusal } from '../errors.ts';
import { freshen } from './derive.ts';
import { engineForJob } from './engine-for-job.ts';
import { logOf } from '../repositories/events.ts';
import { jobById } from '../repositories/jobs.ts';

/** A job with its card, for the page and for the PDF. */
export async function cardData(id: string, prefs: Prefs) {
  if (!z.uuid().safeParse(id).success) throw new Refusal(404, 'not-found', 'There is no such job.');
  const [job, log] = await Promise.all([jobById(id), logOf(id)]);
  const sheet = sheetOf(job.sheet);
  if (!sheet) throw new Refusal(409, 'no-such-sheet', 'This job\u2019s run sheet is not known to this version.');
  await freshen(job.engineId);
  const engine = await engineForJob(job.engineId, id);
  const state = jobState(sheet, engine, log);
  return {
    job: { ...job, openedAt: job.openedAt.toISOString() },
    sheet: { id: sheet.id, title: sheet.title },
    engine,
    card: jobCard(state, engine, lengthText(prefs)),
    closed: state.closed
  };
}

export type CardData = Awaited<ReturnType<typeof cardData>>;
