import { fail, redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { fitting } from '$core/job/fits.ts';
import { runSheets, sheetOf } from '$core/sheets/index.ts';
import { mustAct } from '$lib/server/auth/who.ts';
import { gone, Refusal } from '$lib/server/errors.ts';
import { readForm } from '$lib/server/forms.ts';
import { orError } from '$lib/server/load.ts';
import { engineById, engineNames } from '$lib/server/repositories/engines.ts';
import { openJob } from '$lib/server/repositories/jobs.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url }) => {
  const engines = await orError(engineNames());
  const asked = url.searchParams.get('engine');
  const chosen = engines.find((e) => e.id === asked)?.id ?? engines[0]?.id ?? null;
  const engine = chosen === null ? null : await orError(engineById(chosen));
  return {
    engines,
    chosen,
    /** the run sheet that a job before this one led to */
    asked: sheetOf(url.searchParams.get('sheet') ?? '')?.id ?? null,
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

const form = z.strictObject({
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
      const by = mustAct(locals);
      id = await openJob(parsed.data.engine, parsed.data.sheet, parsed.data.promised || null, by);
    } catch (e) {
      if (gone(e)) return fail(422, { message: 'That engine is not here any more: choose another.', sent });
      if (e instanceof Refusal) return fail(e.status, { message: e.message, sent });
      throw e;
    }
    redirect(303, `/jobs/${id}`);
  }
};
