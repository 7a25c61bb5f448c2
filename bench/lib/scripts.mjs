import { chromium } from '@playwright/test';
import { gzipSync } from 'node:zlib';
import { CHROMIUM, ensureChromium } from '../../scripts/lib/debian.mjs';

/** What a chunk holds, told by a word that only it has. */
const HOLDS = [
  ['the framework, and what every page has', 'hydrat'],
  ['the view of a job', 'Across the bay'],
  ['what a job is made of: log, states, words, rules', 'This cannot be overruled'],
  ['where the crank is: signs, readings, top dead centre', 'One pair looks swapped'],
  ['the step in hand: how true TDC is found', 'before and after swapped'],
  ['where each page of the application is', '__sveltekit'],
  ['ways to find true TDC, weighed up', 'cheapest that is enough']
];

/** Notes in the page when it could be used, and answers which scripts had come by then. */
const watch = () => {
  new MutationObserver((_, o) => {
    if (!document.documentElement.dataset.hydrated) return;
    window.usableAt = performance.now();
    o.disconnect();
  }).observe(document, { subtree: true, attributes: true, attributeFilter: ['data-hydrated'] });
};
const cameInTime = () =>
  performance
    .getEntriesByType('resource')
    .filter((r) => r.responseEnd <= window.usableAt)
    .map((r) => r.name);

/**
 * The scripts that a page has fetched when it can be used: gzipped at the highest level, and as they went over the wire, in
 * bytes. What comes afterwards, as in an idle moment, is not counted.
 */
export async function scriptsOf(url, path, person) {
  ensureChromium();
  const browser = await chromium.launch(CHROMIUM);
  const context = await browser.newContext({ serviceWorkers: 'block' });
  await context.addCookies([{ name: 'nemrik-person', value: person, url }]);
  const page = await context.newPage();
  const files = [];
  await page.addInitScript(watch);
  const count = (request) => {
    if (!new URL(request.url()).pathname.endsWith('.js')) return;
    const body = request.response().then((r) => r.body());
    files.push(
      Promise.all([body, request.sizes()]).then(([body, { responseBodySize: sent }]) => ({
        url: request.url(),
        body,
        sent
      }))
    );
  };
  page.on('requestfinished', count);
  await page.goto(url + path);
  await page.waitForSelector('html[data-hydrated]');
  page.off('requestfinished', count);
  const inTime = new Set(await page.evaluate(cameInTime));
  const all = await Promise.all([...files]);
  const seen = all
    .filter((f) => inTime.has(f.url))
    .map(({ body, sent }) => {
      const text = body.toString();
      const holds = HOLDS.find(([, word]) => text.includes(word))?.[0] ?? 'small parts that several views share';
      return { holds, sent, gzipped: gzipSync(body, { level: 9 }).length };
    });
  await browser.close();
  const sum = (of) => seen.reduce((n, f) => n + f[of], 0);
  const parts = [...new Set(seen.map((f) => f.holds))].map((holds) => {
    const mine = seen.filter((f) => f.holds === holds);
    return { holds, gzipped: mine.reduce((n, f) => n + f.gzipped, 0), files: mine.length };
  });
  return { gzipped: sum('gzipped'), sent: sum('sent'), parts: parts.sort((a, b) => b.gzipped - a.gzipped) };
}
