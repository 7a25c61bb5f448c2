import { isAway } from '$lib/server/errors.ts';
import { people } from '$lib/server/repositories/people.ts';
import type { LayoutServerLoad } from './$types';

let kept: { list: Awaited<ReturnType<typeof people>>; until: number } | null = null;

export const load: LayoutServerLoad = async ({ locals }) => ({
  person: locals.person,
  prefs: locals.prefs,
  people: await names(!locals.person)
});

/** The list of names is short, changes rarely, and every page shows it; null while the database does not answer. */
async function names(anew: boolean) {
  if (kept && kept.until >= performance.now() && !anew) return kept.list;
  try {
    kept = { list: await people(), until: performance.now() + 3000 };
    return kept.list;
  } catch (e) {
    // a page that needs the database says so itself; one that needs none works
    if (!isAway(e)) throw e;
    return kept?.list ?? null;
  }
}
