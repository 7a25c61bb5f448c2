import { addressOf, loadSheet } from '$lib/ui/job/sheet.ts';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ data, fetch }) => ({
  ...data,
  ...(await loadSheet(data.sheet, fetch)),
  sheetAddress: addressOf(data.sheet)
});
