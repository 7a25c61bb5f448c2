import { loadSheet } from '$lib/ui/job/sheet.ts';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ data, fetch }) => ({
  ...data,
  ...(data.sheet ? await loadSheet(data.sheet, fetch) : { sheet: null, domains: [] })
});
