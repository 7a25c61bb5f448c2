import { askedOfList, fromAddress, LIST_PAGE, orFirstPage, pagesOf, wordsOf } from '$lib/server/find.ts';
import { orError } from '$lib/server/load.ts';
import { engineList } from '$lib/server/repositories/engines.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url }) => {
  const { find, page } = askedOfList.parse(fromAddress(url, ['find', 'page']));
  const engines = orFirstPage(url, page, await orError(engineList(wordsOf(find), page - 1, LIST_PAGE)));
  const total = engines[0]?.total ?? 0;
  return { engines: engines.map(({ total: _, ...e }) => e), find: find ?? '', page, pages: pagesOf(total), total };
};
