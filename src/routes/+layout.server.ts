import { people } from '$lib/server/repositories/people.ts';
import type { LayoutServerLoad } from './$types';

let kept: { list: Awaited<ReturnType<typeof people>>; until: number } | null = null;

export const load: LayoutServerLoad = async ({ locals }) => {
  // the list of names is short, changes rarely, and every page shows it
  if (!kept || kept.until < performance.now() || !locals.person)
    kept = { list: await people(), until: performance.now() + 3000 };
  return { person: locals.person, prefs: locals.prefs, people: kept.list };
};
