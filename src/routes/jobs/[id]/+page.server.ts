import { z } from 'zod';
import { sheetOf } from '$core/job/index.ts';
import { Refusal } from '$lib/server/errors.ts';
import { orError } from '$lib/server/load.ts';
import { engineById } from '$lib/server/repositories/engines.ts';
import { logOf } from '$lib/server/repositories/events.ts';
import { gauges } from '$lib/server/repositories/gauges.ts';
import { jobById } from '$lib/server/repositories/jobs.ts';
import type { PageServerLoad } from './$types';

const uuid = z.uuid();

export const load: PageServerLoad = ({ params }) => orError(jobPage(params.id));

async function jobPage(id: string) {
  if (!uuid.safeParse(id).success) throw new Refusal(404, 'not-found', 'There is no such job.');
  const [job, log, tray] = await Promise.all([jobById(id), logOf(id), gauges()]);
  if (!sheetOf(job.sheet))
    throw new Refusal(409, 'no-such-sheet', 'This job\u2019s run sheet is not known to this version.');
  return { job, log, gauges: tray, engine: await engineById(job.engineId) };
}
