import { error, json, type Handle, type HandleServerError, type ServerInit } from '@sveltejs/kit';
import { readPrefs } from '$lib/reader/prefs.ts';
import { closePool } from '$lib/server/db/pool.ts';
import { isAway, Refusal } from '$lib/server/errors.ts';
import { closeLive } from '$lib/server/live/hub.ts';
import { catchUpSoon, stopDeriving } from '$lib/server/jobs/derive.ts';
import { log } from '$lib/server/log.ts';
import { zoneNow } from '$lib/server/zone.ts';
import { whoActs } from '$lib/server/auth/who.ts';

export const init: ServerInit = () => {
  // open streams would hold the server for its whole grace period
  const end = () => {
    stopDeriving();
    void closeLive();
  };
  process.once('SIGTERM', end);
  process.once('SIGINT', end);
  // after an upgrade all rows are behind: they are brought up to date behind the pages
  catchUpSoon();
  process.on('sveltekit:shutdown', () => void closePool());
};

const HEADERS = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'same-origin',
  'permissions-policy': 'camera=(), microphone=(), geolocation=()',
  'cross-origin-opener-policy': 'same-origin',
  'x-frame-options': 'DENY'
};

/** What needs neither the person nor the workshop: no question to the database. */
const ANONYMOUS = /^\/api\/(calc|health|openapi|sheets|fields)/;

export const handle: Handle = async ({ event, resolve }) => {
  // forms are checked by the framework; a JSON write from another site is not
  const writes = event.request.method !== 'GET' && event.request.method !== 'HEAD';
  const origin = event.request.headers.get('origin');
  if (writes && origin !== null && origin !== event.url.origin)
    return json(
      { ok: false, error: { code: 'other-origin', message: 'This request comes from another site.', path: '' } },
      { status: 403 }
    );
  const anonymous = ANONYMOUS.test(event.url.pathname);
  const zone = anonymous ? 'UTC' : await zoneNow();
  event.locals.prefs = readPrefs(event.cookies.get('nemrik-prefs'), zone);
  event.locals.person = null;
  if (!anonymous && event.cookies.get('nemrik-person')) event.locals.person = await who(event.cookies);
  const response = await resolve(event, {
    transformPageChunk: ({ html }) => html.replace('%nemrik.theme%', event.locals.prefs.theme)
  });
  for (const [k, v] of Object.entries(HEADERS)) response.headers.set(k, v);
  return response;
};

async function who(cookies: Parameters<typeof whoActs>[0]) {
  try {
    return await whoActs(cookies);
  } catch (e) {
    if (e instanceof Refusal) error(e.status, { message: e.message, code: e.code });
    throw e;
  }
}

export const handleError: HandleServerError = ({ error: e, status, message }) => {
  if (e instanceof Refusal) return { message: e.message, code: e.code };
  if (isAway(e))
    return { message: 'The database does not answer. Try again in a moment; nothing is lost.', code: 'database-away' };
  if (status === 404) return { message: 'There is nothing at this address.', code: 'not-found' };
  if (status >= 500) log.error('a request failed', e);
  return { message: status >= 500 ? 'Something went wrong in the server. What you had logged is safe.' : message };
};
