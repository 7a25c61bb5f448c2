import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { mustAct, shownBy } from '$lib/server/auth/who.ts';
import { notFound } from '$lib/server/errors.ts';
import { api, readPhoto } from '$lib/server/http.ts';
import { jobById } from '$lib/server/repositories/jobs.ts';
import { cleaned } from '$lib/server/photo-cleaned.ts';
import { keepPhoto, mayKeepMore, photoOf } from '$lib/server/repositories/photos.ts';
import type { RequestEvent } from './$types';

const ids = z.object({ id: z.uuid(), photo: z.uuid() });
const idsOf = ({ params }: RequestEvent) => {
  const read = ids.safeParse(params);
  if (!read.success) throw notFound('photograph');
  return read.data;
};

/** A photograph as it was kept; what an id names never changes. */
export const GET = api(async (event: RequestEvent) => {
  const { id, photo } = idsOf(event);
  const { kind, bytes } = await photoOf(id, photo);
  return new Response(new Uint8Array(bytes), {
    headers: { 'content-type': kind, 'cache-control': 'private, max-age=31536000, immutable' }
  });
});

/** Keeps a photograph under an id of its sender's; a line of the log then names it. Sent again it is there already. */
export const PUT = api(async (event: RequestEvent) => {
  const by = mustAct(event.locals, shownBy(event.request));
  const { id, photo } = idsOf(event);
  const sent = await readPhoto(event.request);
  await jobById(id);
  await mayKeepMore(id, photo, by.id);
  await keepPhoto(id, photo, await cleaned(sent), by.id);
  return json({ ok: true, out: { id: photo } });
});
