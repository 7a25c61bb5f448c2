import { addressOf, loadSheet } from '$lib/ui/job/sheet.ts';
import { loadSurface } from '$lib/ui/surfaces/load.ts';
import type { PageLoad } from './$types';

/** The run sheet and the surface of the step in hand come with the page, on the server as in the browser. */
export const load: PageLoad = async ({ data, fetch }) => {
  const [loaded] = await Promise.all([loadSheet(data.sheet, fetch), loadSurface(data.surface)]);
  return { ...data, ...loaded, sheetAddress: addressOf(data.sheet) };
};
