import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, open, test, jobRows } from './support/bench.ts';
import { be, DEMO } from './support/workshop.ts';

test.use({ baseURL: DEMO });
test.beforeEach(({ context }) => be(context, 'ines-farrow', DEMO));

interface View {
  name: string;
  path: string;
}

/** One open job of each run sheet of the demo workshop, the first of a kind standing for the others. */
async function jobs(page: Page): Promise<View[]> {
  await open(page, '/');
  const all = await jobRows(page).evaluateAll((rows) =>
    rows.map((a) => ({ path: a.getAttribute('href')!, sheet: a.textContent!.split('·')[1] ?? '' }))
  );
  return all
    .filter((r, k) => all.findIndex((x) => x.sheet.slice(0, 14) === r.sheet.slice(0, 14)) === k)
    .map((r) => ({ name: `job: ${r.sheet}`, path: r.path }));
}

/** A job that is done, in the history of its engine. */
async function closedJob(page: Page, engine: string, sheet: string): Promise<View> {
  await open(page, `/engines/${engine}`);
  const history = page.getByRole('complementary').getByRole('listitem');
  const row = history.filter({ hasText: sheet }).filter({ hasText: ', done' }).last();
  return { name: `closed job: ${sheet}`, path: (await row.getByRole('link').first().getAttribute('href'))! };
}

async function violations(page: Page, rules?: string[], within?: string): Promise<string[]> {
  // no page here has frames, so no second page has to be opened to gather what they say
  const axe = new AxeBuilder({ page }).setLegacyMode(true);
  if (within) axe.include(within);
  if (rules) axe.withRules(rules);
  else axe.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice']);
  const { violations } = await axe.analyze();
  return violations.map(
    (v) =>
      `${v.id}: ${v.nodes
        .map((n) => n.html.slice(0, 120))
        .slice(0, 3)
        .join(' | ')}`
  );
}

/** What is asked of every view, seen in one visit; whatever is wrong with one, the others are looked at as well. */
async function sound(page: Page, { name, path }: View, andThen = async () => {}): Promise<void> {
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await open(page, path);
  await andThen();
  const moving = await page.evaluate(() => document.getAnimations().length);
  expect.soft(moving, `${name}: nothing moves by itself when the system asks for calm`).toBe(0);
  expect.soft(await small(page), `${name}: no text under 12.5 px`).toEqual([]);
  expect.soft(await violations(page), `${name}: axe, light`).toEqual([]);
  await page.evaluate(() => (document.documentElement.dataset.theme = 'dim'));
  // a theme changes colours and nothing else
  expect.soft(await violations(page, ['color-contrast']), `${name}: contrast, dim`).toEqual([]);
  // 640 px is a page of 1280 at 200 % zoom
  for (const width of [390, 640, 1920]) {
    await page.setViewportSize({ width, height: 800 });
    const over = await page.evaluate(async () => {
      for (let k = 0; k < 2; k++) await new Promise(requestAnimationFrame);
      return document.documentElement.scrollWidth - document.documentElement.clientWidth;
    });
    expect.soft(over, `${name}: nothing runs out of the page at ${width} px`).toBe(0);
  }
}

/** Text that is smaller than may be, with its size. */
const small = (page: Page) =>
  page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('main *, aside *, footer *, header *')]
      .filter(
        (e) =>
          e.checkVisibility() &&
          // a drawing of a printed sheet shows its own small print
          !e.closest('[data-paper]') &&
          [...e.childNodes].some((n) => n.nodeType === 3 && n.textContent!.trim() !== '')
      )
      .map((e) => ({ text: e.textContent!.trim().slice(0, 40), px: parseFloat(getComputedStyle(e).fontSize) }))
      .filter((x) => x.px < 12.5)
  );

test('every page of the workshop is sound: axe, contrast in both themes, widths, size of text, calm', async ({
  page
}) => {
  test.setTimeout(300_000);
  const [first] = await jobs(page);
  const closed = await closedJob(page, 'lock-4-pump', 'Fit the drive under its pedestal');
  for (const view of [
    { name: 'floor', path: '/' },
    { name: 'engines', path: '/engines' },
    { name: 'new engine', path: '/engines/new' },
    { name: 'engine', path: '/engines/lock-4-pump' },
    { name: 'tray', path: '/tray' },
    { name: 'curves', path: '/curves' },
    { name: 'curves of an engine', path: '/curves/ropeway-winch' },
    { name: 'curves of an engine without any', path: '/curves/stone-saw' },
    { name: 'scales', path: '/scales?kind=tape&diameter=164' },
    { name: 'new job', path: '/jobs/new' },
    closed,
    { name: 'card', path: `${closed.path}/card` },
    { name: 'across the bay', path: `/bay/${first!.path.split('/')[2]!.slice(0, 6)}` }
  ])
    await sound(page, view);
});

test('every kind of job is sound as it is opened, what must not be done in sight', async ({ page }) => {
  test.setTimeout(300_000);
  let seen = 0;
  for (const view of await jobs(page))
    await sound(page, view, async () => {
      const bars = page.getByRole('complementary', { name: 'Where the engine is' }).locator('details.flag');
      for (const bar of await bars.all())
        await expect.soft(bar, `${view.name}: a bar in sight`).toBeInViewport({ ratio: 1 });
      seen += await bars.count();
    });
  expect(seen).toBeGreaterThan(15);
});

/** Kinds of step that axe has to see. */
const KINDS =
  'bodies cap decisions drop gap gears judged knock lobes patch plan recurve scatter stack strokes sweep swept-again targets tdc timing tip tooth vacuum walk witness wires';

test('every step: its drawing clear of the row of actions at 1280x800, and axe finds nothing on any kind', async ({
  page
}) => {
  test.setTimeout(300_000);
  await page.setViewportSize({ width: 1280, height: 800 });
  const wanted = new Set(KINDS.split(' '));
  const cut: string[] = [];
  let drawings = 0;
  // no gear is being replaced now: that job is done
  const gear = await closedJob(page, 'ropeway-winch', 'Replace the drive gear');
  for (const { path } of [...(await jobs(page)), gear]) {
    await eachStep(page, path, async (title) => {
      await expect(page.getByText('Loading …')).toHaveCount(0);
      const by = await drawingOver(page);
      if (by !== null) drawings++;
      if (by !== null && by > 0) cut.push(`${path}: ${title} by ${by} px`);
      await axeOnNewKind(page, title, wanted);
    });
  }
  expect(drawings).toBeGreaterThan(60);
  expect(cut).toEqual([]);
  expect([...wanted]).toEqual([]);
});

/** From the step in hand up to the first, then down to the last: what is done at each on the way down. */
async function eachStep(page: Page, path: string, act: (title: string) => Promise<void>): Promise<void> {
  await open(page, path);
  const title = page.locator('#step-in-hand');
  // the end is where the step in hand stays the same though it is given time to change
  const changed = (from: string) =>
    expect(title)
      .not.toHaveText(from, { timeout: 400 })
      .then(
        () => true,
        () => false
      );
  for (const key of ['k', 'j']) {
    for (let k = 0, more = true; more && k < 60; k++) {
      const now = await title.innerText();
      if (key === 'j') await act(now);
      await page.keyboard.press(key);
      more = await changed(now);
    }
  }
}

/** By how many pixels the drawing of a step reaches under the row of actions; null where there is none. */
async function drawingOver(page: Page): Promise<number | null> {
  const over = () =>
    page.evaluate(() => {
      const main = document.querySelector('main')!;
      const drawing = [...main.querySelectorAll('svg.drawing, .chart')].find((d) => d.clientHeight > 70);
      if (!drawing) return null;
      return Math.round(drawing.getBoundingClientRect().bottom - main.getBoundingClientRect().bottom);
    });
  // a drawing takes its size after it is there: it is looked at until it stands, and told only if it stays cut
  let by = await over();
  for (let look = 0; look < 10 && by !== null && by > 0; look++) {
    await page.waitForTimeout(50);
    by = await over();
  }
  return by;
}

async function axeOnNewKind(page: Page, title: string, wanted: Set<string>): Promise<void> {
  const kind = (await page.locator('[data-surface]').getAttribute('data-surface'))!;
  if (!wanted.delete(kind)) return;
  await page.waitForTimeout(150);
  // what stands around the work is the same at every step, and was looked at with the job
  expect.soft(await violations(page, undefined, 'main'), `axe: ${kind} at ${title}`).toEqual([]);
}

test('inches where inches are chosen, dim where dim is chosen, and both are remembered', async ({ page }) => {
  await open(page, '/');
  const lock4 = jobRows(page).filter({ hasText: 'Lock 4 pump' }).filter({ hasText: 'fit distributor' });
  await lock4.click();
  await expect(page.getByRole('note', { name: 'How to read it' })).toContainText('1.80 mm down');
  await page.getByRole('banner').getByRole('button').first().click();
  await page.getByLabel('Lengths').selectOption('in');
  await expect(page.getByRole('note', { name: 'How to read it' })).toContainText('0.0709 in down');
  await page.getByLabel('Light').selectOption('dim');
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dim');
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dim');
  await expect(page.getByRole('note', { name: 'How to read it' })).toContainText('0.0709 in down');
});

test('the job view sends at most 110 kB of compressed script and no chart library', async ({ page }) => {
  let bytes = 0;
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Network.enable');
  const scripts = new Set<string>();
  cdp.on('Network.responseReceived', (e) => {
    if (!/javascript/.test(e.response.mimeType)) return;
    scripts.add(e.requestId);
    // what has come so far are the headers
    bytes -= e.response.encodedDataLength;
  });
  cdp.on('Network.loadingFinished', (e) => {
    if (scripts.has(e.requestId)) bytes += e.encodedDataLength;
  });
  await open(page, '/');
  const job = await jobRows(page).first().getAttribute('href');
  bytes = 0;
  await cdp.send('Network.clearBrowserCache');
  await open(page, job!);
  await page.waitForTimeout(500);
  console.log(`script of the job view: ${(bytes / 1000).toFixed(1)} kB`);
  expect(bytes).toBeGreaterThan(10_000);
  expect(bytes).toBeLessThan(110_000);
});
