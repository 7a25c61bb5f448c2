import { jobPage } from '$lib/server/jobs/job-page.ts';
import { orError } from '$lib/server/load.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params, locals }) => orError(jobPage(params.id, locals.person?.id ?? null));
