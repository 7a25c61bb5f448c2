import { askedOfList, fromAddress, orFirstPage } from '$lib/server/find.ts';
import { curveEngines } from '$lib/server/jobs/curve-page.ts';
import { orError } from '$lib/server/load.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url }) => {
  const { page } = askedOfList.parse(fromAddress(url, ['find', 'page']));
  const curves = await orError(curveEngines(page));
  return { ...curves, engines: orFirstPage(url, page, curves.engines) };
};
