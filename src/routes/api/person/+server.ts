import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { actAs } from '$lib/server/auth/who.ts';
import { notFound } from '$lib/server/errors.ts';
import { api, readBody } from '$lib/server/http.ts';
import { forgetPeople } from '$lib/server/people-now.ts';
import { addPerson, personById } from '$lib/server/repositories/people.ts';
import type { RequestEvent } from './$types';

const body = z.union([
  z.strictObject({ id: z.string().min(1).max(60) }),
  z.strictObject({ name: z.string().trim().min(1, 'type your name').max(80) })
]);

/** Chooses who stands at this bench, by id, or adds a name and chooses it. */
export const POST = api(async (event: RequestEvent) => {
  const asked = await readBody(event, body);
  const person = 'id' in asked ? await personById(asked.id) : await addPerson(asked.name);
  if (!person) throw notFound('person');
  if ('name' in asked) forgetPeople();
  actAs(event.cookies, person, event.url.protocol === 'https:');
  return json({ ok: true, out: person });
});
