import { stateOf } from '$lib/job-state-memo.ts';
import { jobPage } from '$lib/server/jobs/job-page.ts';
import { orError } from '$lib/server/load.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
  const page = await orError(jobPage(params.id));
  const { steps, current } = stateOf(page.sheet, page.engine, page.log);
  return { ...page, surface: steps[current ?? steps.length - 1]!.step.surface };
};
