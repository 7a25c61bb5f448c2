import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { api, readBody } from '$lib/server/http.ts';
import type { RequestEvent } from './$types';

const body = z.strictObject({
  theme: z.enum(['system', 'light', 'dim']).optional(),
  length: z.enum(['mm', 'in', 'thou']).optional(),
  view: z.enum(['front', 'rear']).optional()
});

/** Remembers how this device likes to see things. */
export const POST = api(async (event: RequestEvent) => {
  const prefs = { ...event.locals.prefs, ...(await readBody(event, body)) };
  event.cookies.set('nemrik-prefs', JSON.stringify({ ...prefs, zone: undefined }), {
    path: '/',
    httpOnly: true,
    sameSite: 'lax',
    secure: event.url.protocol === 'https:',
    maxAge: 60 * 60 * 24 * 365
  });
  return json({ ok: true, out: prefs });
});
