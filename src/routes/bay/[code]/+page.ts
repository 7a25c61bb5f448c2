import { loadDomains } from '$lib/ui/job/domains.ts';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ data }) => {
  await loadDomains(data.sheet);
  return data;
};
