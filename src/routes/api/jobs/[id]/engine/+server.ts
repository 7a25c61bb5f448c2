import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { notFound } from '$lib/server/errors.ts';
import { api } from '$lib/server/http.ts';
import { engineForJob } from '$lib/server/jobs/engine-for-job.ts';
import { jobById } from '$lib/server/repositories/jobs.ts';
import type { RequestEvent } from './$types';

/** The engine as a job sees it: its data sheet, and what earlier jobs found. */
export const GET = api(async ({ params }: RequestEvent) => {
  if (!z.uuid().safeParse(params.id).success) throw notFound('job');
  const job = await jobById(params.id);
  return json({ ok: true, out: await engineForJob(job.engineId, job.id) });
});
