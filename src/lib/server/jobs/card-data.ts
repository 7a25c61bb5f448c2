import { z } from 'zod';
import { jobCard } from '$core/job/card.ts';
import { stateOf } from '$core/sheets/index.ts';
import type { Prefs } from '$lib/reader/prefs.ts';
import { lengthText } from '$lib/reader/units.ts';
import { Refusal } from '../errors.ts';
import { logOf } from '../repositories/events.ts';
import { jobById } from '../repositories/jobs.ts';
import { cardCurve } from './card-curve.ts';
import { freshen } from './derive.ts';
import { engineForJob } from './engine-for-job.ts';
import { knownSheet } from './known-sheet.ts';

/** A job with its card, for the page and for the PDF. */
export async function cardData(id: string, prefs: Prefs) {
  if (!z.uuid().safeParse(id).success) throw new Refusal(404, 'not-found', 'There is no such job.');
  const [job, log] = await Promise.all([jobById(id), logOf(id)]);
  const sheet = knownSheet(job.sheet);
  await freshen(job.engineId);
  const engine = await engineForJob(job.engineId, id);
  const state = stateOf(sheet, engine, log);
  return {
    job: { ...job, openedAt: job.openedAt.toISOString() },
    sheet: { id: sheet.id, title: sheet.title },
    engine: { id: engine.id, name: engine.name, summary: engine.summary },
    card: jobCard(state, engine, lengthText(prefs)),
    curve: cardCurve(state, engine),
    closed: state.closed
  };
}

export type CardData = Awaited<ReturnType<typeof cardData>>;
