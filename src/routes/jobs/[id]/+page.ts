import { stateOf } from '$lib/ui/job/state-memo.ts';
import { unpackedToWork } from '$lib/ui/job/unpacked.ts';
import { loadSurface, surfacesAhead } from '$lib/ui/surfaces/load.ts';
import type { PageLoad } from './$types';

/** The run sheet and the surface of the step in hand come with the page, on the server as in the browser. */
export const load: PageLoad = async ({ data, fetch }) => {
  const job = await unpackedToWork(data, fetch, surfacesAhead);
  const { steps, current } = stateOf(job.sheet, job.engine, job.log, job.domains);
  await loadSurface(steps[current ?? steps.length - 1]!.step.surface);
  return job;
};
