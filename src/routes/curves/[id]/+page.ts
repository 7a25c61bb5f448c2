import { register } from '$core/job/domains/domain.ts';
import { curvesDomain } from '$core/job/domains/curves.ts';
import { loadDomains } from '$lib/ui/job/domains.ts';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ data }) => {
  register(curvesDomain);
  if (data.sheet) await loadDomains(data.sheet);
  return data;
};
