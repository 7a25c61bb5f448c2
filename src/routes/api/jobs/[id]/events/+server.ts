import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { eventInput } from '$core/job/event-input.ts';
import { mustAct } from '$lib/server/auth/who.ts';
import { notFound } from '$lib/server/errors.ts';
import { api, readBody } from '$lib/server/http.ts';
import { append } from '$lib/server/jobs/append.ts';
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

/** Writes one event; sending the same id again answers the one that is there. */
export const POST = api(async (event: RequestEvent) => {
  const by = mustAct(event.locals);
  const id = idOf(event);
  return json({ ok: true, out: await append(id, await readBody(event, eventInput), by) });
});
