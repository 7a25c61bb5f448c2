import { loadDomains } from '$lib/ui/job/domains.ts';
import { loadSurface } from '$lib/ui/job/surfaces/load.ts';
import type { PageLoad } from './$types';

/** The surface of the step in hand comes with the page, on the server as in the browser. */
export const load: PageLoad = async ({ data }) => {
  await Promise.all([loadSurface(data.surface), loadDomains(data.sheet)]);
  return data;
};
