/// <reference lib="webworker" />
import { build, files, version } from '$service-worker';
import { PAGES } from './lib/ui/live/kept-pages.ts';

/**
 * Without the server a page that was opened on this device is shown as it was last known, and says so: the scripts are kept
 * when they come, pages each time they are shown. Nothing that is written goes through here.
 */
const worker = self as unknown as ServiceWorkerGlobalScope;
const SHELL = `nemrik-shell-${version}`;
const CONTENTS = 'nemrik-contents';
const KEPT_PAGES = 80;
const shell = new Set([...build, ...files]);

worker.addEventListener('install', (e) => {
  e.waitUntil(
    caches
      .open(SHELL)
      .then((c) => c.addAll([...shell]))
      .then(() => worker.skipWaiting())
  );
});

worker.addEventListener('activate', (e) => {
  e.waitUntil(
    caches
      .keys()
      .then((names) =>
        Promise.all(names.filter((n) => n.startsWith('nemrik-shell-') && n !== SHELL).map((n) => caches.delete(n)))
      )
      .then(() => worker.clients.claim())
      .then(keepShown)
  );
});

/** The pages that were open before this worker was there: it has not seen them come. */
async function keepShown(): Promise<void> {
  const cache = await caches.open(PAGES);
  for (const { url } of await worker.clients.matchAll({ type: 'window' })) {
    if (await cache.match(url)) continue;
    const page = await fetch(url).catch(() => null);
    if (page?.ok && !page.redirected) await keep(url, page);
  }
}

worker.addEventListener('fetch', (e) => {
  const { request } = e;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== location.origin) return;
  if (shell.has(url.pathname)) e.respondWith(keptFirst(SHELL, request));
  // run sheets and fields stand at addresses that never mean anything else
  else if (/^\/api\/(sheets|fields)\//.test(url.pathname)) e.respondWith(keptFirst(CONTENTS, request));
  else if (request.mode === 'navigate' || url.pathname.endsWith('/__data.json')) e.respondWith(newest(request));
});

async function keptFirst(store: string, request: Request): Promise<Response> {
  const cache = await caches.open(store);
  const found = await cache.match(request.url);
  if (found) return found;
  const fresh = await fetch(request);
  if (fresh.ok) await cache.put(request.url, fresh.clone());
  return fresh;
}

/** The page as the server has it; as it was last known here when the server or its database does not answer. */
async function newest(request: Request): Promise<Response> {
  const fresh = await fetch(request).catch(() => null);
  if (fresh && ![502, 503, 504].includes(fresh.status)) {
    if (fresh.ok && !fresh.redirected) await keep(request.url, fresh.clone());
    return fresh;
  }
  const known = await (await caches.open(PAGES)).match(request.url);
  if (!known) return fresh ?? nothing(request);
  return request.mode === 'navigate' ? marked(known) : known;
}

async function keep(url: string, page: Response): Promise<void> {
  const cache = await caches.open(PAGES);
  await cache.delete(url);
  await cache.put(url, page);
  const all = await cache.keys();
  for (const old of all.slice(0, Math.max(0, all.length - KEPT_PAGES))) await cache.delete(old);
}

/** A page of before, which says on its root when it was fetched. */
async function marked(known: Response): Promise<Response> {
  const date = new Date(known.headers.get('date') ?? 0).toISOString();
  const html = (await known.text()).replace('<html ', `<html data-kept="${date}" `);
  return new Response(html, { status: 200, headers: known.headers });
}

function nothing(request: Request): Response {
  if (request.mode !== 'navigate') return Response.error();
  const html = `<!doctype html><html lang="en-GB"><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<meta http-equiv="refresh" content="5"><title>Nemrik</title><body style="font:17px/1.5 sans-serif;background:#fbfbf8;color:#15211d;max-width:36em;margin:4em auto;padding:0 1em">
<h1>The server does not answer</h1><p>This page was not opened on this device before, so there is nothing of it to show.
What was typed here is kept and sent when the server is back.</p><p><a href="/">To the floor</a></p>`;
  return new Response(html, { status: 503, headers: { 'content-type': 'text/html; charset=utf-8' } });
}
