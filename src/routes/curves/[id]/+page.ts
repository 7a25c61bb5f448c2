import { register } from '$core/job/domain.ts';
import { curvesDomain } from '$core/domains/curves/domain.ts';
import { loadDomains } from '$lib/ui/job/domains.ts';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ data }) => {
  register(curvesDomain);
  if (data.sheet) await loadDomains(data.sheet);
  return data;
};
