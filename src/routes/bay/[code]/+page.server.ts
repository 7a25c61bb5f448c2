import { jobPage } from '$lib/server/jobs/job-page.ts';
import { Refusal } from '$lib/server/errors.ts';
import { orError } from '$lib/server/load.ts';
import { jobIdByCode } from '$lib/server/repositories/jobs.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params, locals }) => orError(byCode(params.code, locals.person?.id ?? null));

async function byCode(code: string, person: string | null) {
  if (!/^[0-9a-f]{4,36}$/.test(code.replaceAll('-', ''))) throw new Refusal(404, 'not-found', 'There is no such job.');
  return jobPage(await jobIdByCode(code), person);
}
