import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { eventInput } from '$core/job/event-input.ts';
import { authorOf } from '$lib/server/auth/who.ts';
import { notFound, Refusal } from '$lib/server/errors.ts';
import { api, readJson, understood } from '$lib/server/http.ts';
import { append, appendAll } from '$lib/server/jobs/append.ts';
import { logOf } from '$lib/server/repositories/events.ts';
import type { RequestEvent } from './$types';

const jobId = z.uuid();
const after = z.coerce.number().int().min(0).max(1e9).catch(0);

const idOf = (event: RequestEvent): string => {
  const id = jobId.safeParse(event.params.id);
  if (!id.success) throw notFound('job');
  return id.data;
};

/** The log after a sequence number. */
export const GET = api(async (event: RequestEvent) =>
  json({ ok: true, out: await logOf(idOf(event), after.parse(event.url.searchParams.get('after'))) })
);

/** Events that are written together, or not at all. */
const MOST = 2400;
const LARGEST = 1000 * 1024;
const person = z.string().min(1).max(60).optional();
const several = z.strictObject({ by: person, events: z.array(eventInput).min(1).max(MOST) });

/**
 * Writes one event, or several in one transaction as `{ events }`; sending the same id again answers the one that is
 * there. `by` names who typed it, where that is not who sits there now.
 */
export const POST = api(async (event: RequestEvent) => {
  const id = idOf(event);
  const sent = await readJson(event.request, LARGEST);
  if (typeof sent !== 'object' || sent === null) throw new Refusal(422, 'bad-input', 'An event is an object.');
  if ('events' in sent) {
    const { by, events } = understood(sent, several);
    return json({ ok: true, out: await appendAll(id, events, await authorOf(event.cookies, event.locals, by)) });
  }
  const { by, ...one } = sent as { by?: unknown };
  const author = await authorOf(event.cookies, event.locals, understood(by, person));
  return json({ ok: true, out: await append(id, understood(one, eventInput), author) });
});
