import { dev } from '$app/environment';
import type { Handle, HandleServerError, ServerInit } from '@sveltejs/kit';
import { readPrefs } from '$lib/reader/prefs.ts';
import { closePool } from '$lib/server/db/pool.ts';
import { isAway, Refusal } from '$lib/server/errors.ts';
import { answer, refused } from '$lib/server/http.ts';
import { closeLive } from '$lib/server/live/hub.ts';
import { catchUpSoon, stopDeriving } from '$lib/server/jobs/derive.ts';
import { log } from '$lib/server/log.ts';
import { isClean } from '$lib/server/text.ts';
import { zoneNow } from '$lib/server/zone.ts';
import { whoActs } from '$lib/server/auth/who.ts';

export const init: ServerInit = () => {
  // open streams would hold the server for its whole grace period
  const end = () => {
    stopDeriving();
    closeLive();
  };
  process.once('SIGTERM', end);
  process.once('SIGINT', end);
  // after an upgrade all rows are behind: they are brought up to date behind the pages
  catchUpSoon();
  // in nobody's way: whoever waits for this server asks first
  if (!dev) setTimeout(() => void readAhead(), READ_AHEAD_MS).unref();
  process.on('sveltekit:shutdown', () => void closePool());
};

const parts = import.meta.glob(['./routes/**/+*.{svelte,ts}', './lib/ui/surfaces/**/*.svelte']);
const READ_AHEAD_MS = 2000;
/** What pages are made of is read in before it is asked for, a file a turn of the loop: no first page of its kind waits for it. */
async function readAhead(): Promise<void> {
  for (const load of Object.values(parts)) {
    await load().catch((e) => log.error('a part of a page cannot be read', e));
    await new Promise((r) => setImmediate(r));
  }
}

/** What needs neither the person nor the workshop: no question to the database. */
const ANONYMOUS = /^\/api\/(calc|health|openapi|sheets|fields)/;

export const handle: Handle = async ({ event, resolve }) => {
  const isApi = event.url.pathname.startsWith('/api/');
  try {
    mustBeOurs(event.request, event.url);
    mustBeReadable(event.url);
    mustBeNamed(event.url);
  } catch (e) {
    if (!(e instanceof Refusal)) throw e;
    return answer(e);
  }
  const anonymous = ANONYMOUS.test(event.url.pathname);
  const zone = anonymous ? 'UTC' : await zoneNow();
  event.locals.prefs = readPrefs(event.cookies.get('nemrik-prefs'), zone);
  event.locals.person = null;
  if (!anonymous && event.cookies.get('nemrik-person')) {
    try {
      event.locals.person = await whoActs(event.cookies);
    } catch (e) {
      if (isApi) return refused(e);
      // a page that needs the database will say so itself; one that needs none works without a name
      if (!isAway(e)) throw e;
    }
  }
  const response = await resolve(event, {
    transformPageChunk: ({ html }) => html.replace('%nemrik.theme%', event.locals.prefs.theme)
  });
  return isApi ? asJson(response) : response;
};

/** What a page of another site can send without asking first: it always says where it comes from. */
const FORM = /^\s*(application\/x-www-form-urlencoded|multipart\/form-data|text\/plain)\b/i;

/** A write comes from a page of ours, or from no page at all; a form, which any page can send, from a page of ours. */
function mustBeOurs(request: Request, url: URL): void {
  if (['GET', 'HEAD', 'OPTIONS'].includes(request.method)) return;
  const origin = request.headers.get('origin');
  const isForm = FORM.test(request.headers.get('content-type') ?? '');
  if (origin === null ? isForm : origin !== url.origin)
    throw new Refusal(
      403,
      'other-origin',
      `This request comes from another site (${origin !== null && isClean(origin) ? origin.slice(0, 80) : 'it does not say which'}), not from ${url.origin}. Behind TLS or another name, start Nemrik with ORIGIN set to that address.`
    );
}

function mustBeReadable(url: URL): void {
  let text: string;
  try {
    text = decodeURIComponent(url.pathname + url.search.replaceAll('+', ' '));
  } catch {
    throw new Refusal(400, 'bad-address', 'This address cannot be read.');
  }
  if (!isClean(text)) throw new Refusal(422, 'bad-address', 'This address holds a character that no address here has.');
}

/** An action is looked up by the name in the address: one that every object has by itself (`?/constructor`) is no action. */
function mustBeNamed(url: URL): void {
  const action = /^\?\/([^&=]*)/.exec(url.search)?.[1];
  if (action !== undefined && decodeURIComponent(action) in Object.prototype)
    throw new Refusal(404, 'not-found', 'There is no such action at this address.');
}

/** What the framework says itself of an address of the API (no such method, no such route) is JSON too. */
async function asJson(response: Response): Promise<Response> {
  if (response.status < 400 || response.headers.get('content-type')?.startsWith('application/json')) return response;
  const words: Record<number, [string, string]> = {
    404: ['not-found', 'There is nothing at this address.'],
    405: ['no-such-method', 'This address does not take such a request.']
  };
  const [code, message] = words[response.status] ?? ['refused', 'This request cannot be answered.'];
  await response.body?.cancel();
  return answer(new Refusal(response.status, code, message));
}

export const handleError: HandleServerError = ({ error: e, status, message }) => {
  if (e instanceof Refusal) return { message: e.message, code: e.code };
  if (isAway(e))
    return { message: 'The database does not answer. Try again in a moment; nothing is lost.', code: 'database-away' };
  if (status === 404) return { message: 'There is nothing at this address.', code: 'not-found' };
  if (status >= 500) log.error('a request failed', e);
  return { message: status >= 500 ? 'Something went wrong in the server. What you had logged is safe.' : message };
};
