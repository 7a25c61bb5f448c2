import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { isZone } from '$lib/reader/dates.ts';
import { mustAct } from '$lib/server/auth/who.ts';
import { api, readBody } from '$lib/server/http.ts';
import { forgetZone } from '$lib/server/zone.ts';
import { setTimeZone } from '$lib/server/repositories/workshop.ts';
import type { RequestEvent } from './$types';

const body = z.strictObject({ zone: z.string().refine(isZone, 'there is no such time zone') });

/** Says what is true of the workshop as a whole: the clock by which its times are shown. */
export const POST = api(async (event: RequestEvent) => {
  mustAct(event.locals);
  const { zone } = await readBody(event, body);
  await setTimeZone(zone);
  forgetZone();
  return json({ ok: true, out: { zone } });
});
