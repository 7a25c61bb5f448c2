import type { Cookies } from '@sveltejs/kit';
import type { Person } from '$core/job/index.ts';
import { Refusal } from '../errors.ts';
import { personById } from '../repositories/people.ts';

/**
 * Who acts. The one place that knows: today a name chosen at the bench and kept in a cookie; real sign-in replaces
 * this file and nothing else.
 */
const COOKIE = 'nemrik-person';
/** everybody who has worked at this browser, newest first */
const HERE = 'nemrik-people';
const MOST_HERE = 30;
const A_YEAR = 60 * 60 * 24 * 365;
const known = new Map<string, { person: Person; until: number }>();

const isId = (id: string): boolean => /^[a-z0-9][a-z0-9-]{0,59}$/.test(id);

export async function whoActs(cookies: Cookies): Promise<Person | null> {
  const id = cookies.get(COOKIE);
  return id ? personOf(id) : null;
}

async function personOf(id: string): Promise<Person | null> {
  if (!isId(id)) return null;
  // names change rarely and every page asks: a few seconds of memory spare a query
  const hit = known.get(id);
  if (hit && hit.until > performance.now()) return hit.person;
  const person = await personById(id);
  if (person) known.set(id, { person, until: performance.now() + 5000 });
  if (known.size > 1000) known.delete(known.keys().next().value!);
  return person;
}

const peopleHere = (cookies: Cookies): string[] => (cookies.get(HERE) ?? '').split('.').filter(isId);

export function actAs(cookies: Cookies, person: Person, secure: boolean): void {
  const kept = { path: '/', httpOnly: true, sameSite: 'lax', secure, maxAge: A_YEAR } as const;
  const before = [...peopleHere(cookies), cookies.get(COOKIE) ?? ''].filter((id) => isId(id) && id !== person.id);
  cookies.set(HERE, [person.id, ...new Set(before)].slice(0, MOST_HERE).join('.'), kept);
  cookies.set(COOKIE, person.id, kept);
}

/** Who a page shows at its top, as it says with what it sends; null where it does not. */
export const shownBy = (request: Request): string | null => request.headers.get('x-nemrik-by');

/**
 * For every route that writes: refuses when nobody has said who they are, and when the page that sends it shows another name
 * than was since chosen at this browser. It is written under neither.
 * @param shown id of the person that the page shows; left out where nobody says
 */
export function mustAct(locals: App.Locals, shown?: string | null): Person {
  if (shown && locals.person && shown !== locals.person.id)
    throw new Refusal(
      409,
      'another-name',
      `Another name was chosen in this browser meanwhile, ${locals.person.name}: nothing was written. Choose your own name at the top, then send it again.`,
      'by'
    );
  if (!locals.person)
    throw new Refusal(401, 'nobody-acts', 'Choose your name at the top first: every reading is kept with who took it.');
  return locals.person;
}

/**
 * Whose reading it is. What was typed before somebody else sat down is still theirs who typed it, and is written under
 * their name; but only at a browser at which they have worked.
 */
export async function authorOf(cookies: Cookies, locals: App.Locals, by: string | undefined): Promise<Person> {
  if (by === undefined || by === locals.person?.id) return mustAct(locals);
  const person = peopleHere(cookies).includes(by) ? await personOf(by) : null;
  if (!person)
    throw new Refusal(
      403,
      'not-yours',
      'This was typed by somebody who has not worked at this browser: it is not written under another name. Choose their name at the top and send it again, or drop it.',
      'by'
    );
  return person;
}
