import type { Cookies } from '@sveltejs/kit';
import type { Person } from '$core/job/index.ts';
import { Refusal } from '../errors.ts';
import { personById } from '../repositories/people.ts';

/**
 * Who acts. The one place that knows: today a name chosen at the bench and kept in a cookie; real sign-in replaces
 * this file and nothing else.
 */
const COOKIE = 'nemrik-person';
const known = new Map<string, { person: Person; until: number }>();

export async function whoActs(cookies: Cookies): Promise<Person | null> {
  const id = cookies.get(COOKIE);
  if (!id) return null;
  // names change rarely and every page asks: a few seconds of memory spare a query
  const hit = known.get(id);
  if (hit && hit.until > performance.now()) return hit.person;
  const person = await personById(id);
  if (person) known.set(id, { person, until: performance.now() + 5000 });
  return person;
}

export function actAs(cookies: Cookies, person: Person, secure: boolean): void {
  cookies.set(COOKIE, person.id, { path: '/', httpOnly: true, sameSite: 'lax', secure, maxAge: 60 * 60 * 24 * 365 });
}

/** For every route that writes: refuses when nobody has said who they are. */
export function mustAct(locals: App.Locals): Person {
  if (!locals.person)
    throw new Refusal(401, 'nobody-acts', 'Choose your name at the top first: every reading is kept with who took it.');
  return locals.person;
}
