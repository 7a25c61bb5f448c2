import { isAway } from './errors.ts';
import { people, type PersonRow } from './repositories/people.ts';

const FOR_MS = 3000;
let kept: { list: PersonRow[]; until: number } | null = null;

/** The list of names: short, rarely changed, and shown by every page; null while the database does not answer. */
export async function peopleNow(anew: boolean): Promise<PersonRow[] | null> {
  if (kept && kept.until >= performance.now() && !anew) return kept.list;
  try {
    kept = { list: await people(), until: performance.now() + FOR_MS };
    return kept.list;
  } catch (e) {
    // a page that needs the database says so itself; one that needs none works
    if (!isAway(e)) throw e;
    return kept?.list ?? null;
  }
}

/** A name was added: the next page asks again. */
export const forgetPeople = (): void => void (kept = null);
