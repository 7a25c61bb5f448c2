import { fail, redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { labelsOfCarried } from '$core/job/carry.ts';
import { fitting } from '$core/job/fits.ts';
import { runSheets, sheetOf } from '$core/sheets/index.ts';
import { mustAct } from '$lib/server/auth/who.ts';
import { gone, Refusal } from '$lib/server/errors.ts';
import { readForm } from '$lib/server/forms.ts';
import { orError } from '$lib/server/load.ts';
import { engineById, engineNames } from '$lib/server/repositories/engines.ts';
import { jobById } from '$lib/server/repositories/jobs.ts';
import { carriedFrom, open } from '$lib/server/jobs/open-job.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url }) => {
  const engines = await orError(engineNames());
  const asked = url.searchParams.get('engine');
  const chosen = engines.find((e) => e.id === asked)?.id ?? engines[0]?.id ?? null;
  const engine = chosen === null ? null : await orError(engineById(chosen));
  const before = id.safeParse(url.searchParams.get('after'));
  return {
    engines,
    chosen,
    /** the run sheet that a job before this one led to */
    asked: sheetOf(url.searchParams.get('sheet') ?? '')?.id ?? null,
    after: before.success && chosen !== null ? await orError(broughtFrom(before.data, chosen)) : null,
    sheets: runSheets.map((s) => ({
      id: s.id,
      title: s.title,
      caution: s.caution ?? null,
      steps: s.steps.length,
      minutes: s.steps.reduce((t, x) => t + x.minutes, 0),
      ...(engine ? fitting(s, engine) : { fits: null, because: '' })
    }))
  };
};

const id = z.uuid();

/** What a job that led here would bring to each run sheet, in words; null where it is on another engine. */
async function broughtFrom(jobId: string, engineId: string) {
  const before = await jobById(jobId);
  if (before.engineId !== engineId) return null;
  const from = sheetOf(before.sheet);
  const takenOver = await carriedFrom(before);
  const brings = runSheets.map((s) => [s.id, labelsOfCarried(takenOver(s), s)] as const);
  return {
    id: before.id,
    title: from?.title ?? before.sheet,
    at: before.openedAt.toISOString(),
    brings: Object.fromEntries(brings)
  };
}

const form = z.strictObject({
  by: z.string().max(60).optional(),
  after: z.union([z.literal(''), id]).optional(),
  engine: z.string().min(1, 'Choose an engine.'),
  sheet: z.string().refine((id) => sheetOf(id) !== undefined, 'Choose what is to be done.'),
  promised: z.union([
    z.literal(''),
    z.iso.date('Give the day as a date.').refine((d) => d >= '2000' && d < '2200', 'Give a day of this century.')
  ])
});

export const actions: Actions = {
  default: async ({ request, locals }) => {
    let sent: Record<string, string> = {};
    try {
      sent = await readForm(request);
    } catch (e) {
      if (e instanceof Refusal) return fail(e.status, { message: e.message, sent });
      throw e;
    }
    const parsed = form.safeParse(sent);
    if (!parsed.success) return fail(422, { message: parsed.error.issues[0]!.message, sent });
    let id: string;
    try {
      const by = mustAct(locals, sent['by']);
      const { engine: engineId, sheet, promised, after } = parsed.data;
      const opened = await open({
        engineId,
        sheet: sheetOf(sheet)!,
        promisedOn: promised || null,
        by,
        after: after || undefined
      });
      id = opened.id;
    } catch (e) {
      if (gone(e)) return fail(422, { message: 'That engine is not here any more: choose another.', sent });
      if (e instanceof Refusal) return fail(e.status, { message: e.message, sent });
      throw e;
    }
    redirect(303, `/jobs/${id}`);
  }
};
