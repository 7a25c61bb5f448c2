import { error, json, type Handle, type HandleServerError, type ServerInit } from '@sveltejs/kit';
import { readPrefs } from '$lib/prefs.ts';
import { closePool } from '$lib/server/db/pool.ts';
import { isAway, Refusal } from '$lib/server/errors.ts';
import { closeLive } from '$lib/server/live/hub.ts';
import { whoActs } from '$lib/server/auth/who.ts';

export const init: ServerInit = () => {
  // open streams would hold the server for its whole grace period
  const end = () => void closeLive();
  process.once('SIGTERM', end);
  process.once('SIGINT', end);
  process.on('sveltekit:shutdown', () => void closePool());
};

const HEADERS = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'same-origin',
  'permissions-policy': 'camera=(), microphone=(), geolocation=()',
  'cross-origin-opener-policy': 'same-origin',
  'x-frame-options': 'DENY'
};

export const handle: Handle = async ({ event, resolve }) => {
  // forms are checked by the framework; a JSON write from another site is not
  const writes = event.request.method !== 'GET' && event.request.method !== 'HEAD';
  const origin = event.request.headers.get('origin');
  if (writes && origin !== null && origin !== event.url.origin)
    return json(
      { ok: false, error: { code: 'other-origin', message: 'This request comes from another site.', path: '' } },
      { status: 403 }
    );
  event.locals.prefs = readPrefs(event.cookies.get('nemrik-prefs'));
  event.locals.person = null;
  const anonymous = event.url.pathname.startsWith('/api/calc') || event.url.pathname === '/api/health';
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
  if (status >= 500) console.error(e);
  return { message: status >= 500 ? 'Something went wrong in the server. What you had logged is safe.' : message };
};
