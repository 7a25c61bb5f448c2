import { redirect } from '@sveltejs/kit';
import { z } from 'zod';

/** Rows on a page of a list. */
export const LIST_PAGE = 40;

/** What an address asks of a list: words to find and a page. What makes no sense is taken as not asked. */
export const askedOfList = z.object({
  find: z.string().max(100).nullable().catch(null),
  page: z.coerce.number().int().min(1).max(10_000).catch(1)
});

/** The parameters of an address by name, null where one is missing. */
export const fromAddress = (url: URL, names: readonly string[]) =>
  Object.fromEntries(names.map((k) => [k, url.searchParams.get(k)]));

/** Words as they were typed, in lower case. */
export const wordsOf = (find: string | null): string[] => (find ?? '').toLowerCase().split(/\s+/).filter(Boolean);

export const pagesOf = (total: number, size = LIST_PAGE): number => Math.max(1, Math.ceil(total / size));

/** Past its end a list begins again: leads to its first page when the page that was asked for has no rows. */
export function orFirstPage<T>(url: URL, page: number, rows: T[]): T[] {
  if (rows.length > 0 || page <= 1) return rows;
  const first = new URLSearchParams(url.searchParams);
  first.delete('page');
  redirect(307, first.size ? `${url.pathname}?${first}` : url.pathname);
}
