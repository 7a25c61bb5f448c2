import AxeBuilder from '@axe-core/playwright';
import { expect, open, test, jobRows } from './support/bench.ts';
import { be, DEMO } from './support/workshop.ts';

test.use({ baseURL: DEMO });
test.beforeEach(({ context }) => be(context, 'ines-farrow', DEMO));

/** Every view of the demo workshop: name, address, and the steps of the run sheet to look at. */
async function views(page: import('@playwright/test').Page): Promise<{ name: string; path: string }[]> {
  await open(page, '/');
  // one job of each run sheet and engine state: the first of a kind stands for the others
  const all = await jobRows(page).evaluateAll((rows) =>
    rows.map((a) => ({ href: a.getAttribute('href')!, sheet: a.textContent!.split('·')[1] ?? '' }))
  );
  const jobs = all
    .filter((r, k) => all.findIndex((x) => x.sheet.slice(0, 14) === r.sheet.slice(0, 14)) === k)
    .map((r) => r.href);
  await open(page, '/engines/lock-4-pump');
  const closed = await page
    .getByRole('complementary')
    .getByRole('listitem')
    .getByRole('link')
    .first()
    .getAttribute('href');
  return [
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
    ...jobs.map((path, k) => ({ name: `job ${k + 1}`, path })),
    { name: 'card', path: `${closed}/card` },
    { name: 'across the bay', path: `/bay/${jobs[0]!.split('/')[2]!.slice(0, 6)}` }
  ];
}

async function violations(page: import('@playwright/test').Page): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
    .analyze();
  return violations.map(
    (v) =>
      `${v.id}: ${v.nodes
        .map((n) => n.html.slice(0, 120))
        .slice(0, 3)
        .join(' | ')}`
  );
}

for (const theme of ['light', 'dim'])
  test(`axe finds nothing on any view, ${theme}`, async ({ page, context }) => {
    test.setTimeout(300_000);
    await context.addCookies([
      { name: 'nemrik-prefs', value: encodeURIComponent(JSON.stringify({ theme })), url: DEMO }
    ]);
    for (const v of await views(page)) {
      await open(page, v.path);
      expect([v.name, await violations(page)]).toEqual([v.name, []]);
    }
  });

test('axe finds nothing on any kind of step of any run sheet', async ({ page }) => {
  test.setTimeout(300_000);
  const wanted = new Set(
    'bodies cap decisions drop gap gears judged knock lobes patch plan recurve stack strokes sweep targets tdc timing tip tooth vacuum walk witness wires'.split(
      ' '
    )
  );
  for (const engine of ['lock-4-pump', 'ropeway-winch']) {
    await open(page, `/engines/${engine}`);
    const jobs = await page
      .getByRole('complementary')
      .getByRole('listitem')
      .getByRole('link')
      .evaluateAll((all) => all.map((a) => a.getAttribute('href')!));
    for (const job of jobs.filter((j) => !j.endsWith('/card'))) {
      if (wanted.size === 0) break;
      // from the step in hand up to the first, then from there down to the last
      for (const key of ['k', 'j']) {
        await open(page, job);
        let last = '';
        for (let k = 0; k < 50 && wanted.size > 0; k++) {
          const title = (await page.locator('#step-in-hand').textContent())!;
          if (title === last) break;
          last = title;
          const kind = (await page.locator('[data-surface]').getAttribute('data-surface'))!;
          if (wanted.has(kind)) {
            await page.waitForTimeout(150);
            expect([title, kind, await violations(page)]).toEqual([title, kind, []]);
            wanted.delete(kind);
          }
          await page.keyboard.press(key);
        }
      }
    }
  }
  expect([...wanted]).toEqual([]);
});

test('what must not be done is in sight at 1280x800 as a job is opened', async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  let seen = 0;
  for (const { path } of (await views(page)).filter((v) => v.name.startsWith('job '))) {
    await open(page, path);
    const bars = page.getByRole('complementary', { name: 'Where the engine is' }).locator('details.flag');
    for (const bar of await bars.all()) await expect(bar).toBeInViewport({ ratio: 1 });
    seen += await bars.count();
  }
  expect(seen).toBeGreaterThan(15);
});

test('no drawing of a step in use runs under the row of actions at 1280x800', async ({ page }) => {
  test.setTimeout(300_000);
  await page.setViewportSize({ width: 1280, height: 800 });
  const cut: string[] = [];
  let drawings = 0;
  for (const { path } of (await views(page)).filter((v) => v.name.startsWith('job '))) {
    await open(page, path);
    const title = page.locator('#step-in-hand');
    for (const key of ['k', 'j'])
      for (let k = 0, last = ''; k < 50; k++) {
        const now = `${path}: ${await title.innerText()}`;
        if (now === last) break;
        last = now;
        if (key === 'j') {
          await expect(page.getByText('Loading …')).toHaveCount(0);
          // a drawing takes its size after it is there: it is looked at until it stands, and told only if it stays cut
          const over = () =>
            page.evaluate(() => {
              const main = document.querySelector('main')!;
              const drawing = [...main.querySelectorAll('svg.drawing, .chart')].find((d) => d.clientHeight > 70);
              if (!drawing) return null;
              return Math.round(drawing.getBoundingClientRect().bottom - main.getBoundingClientRect().bottom);
            });
          let by = await over();
          for (let look = 0; look < 10 && by !== null && by > 0; look++) {
            await page.waitForTimeout(50);
            by = await over();
          }
          if (by !== null) drawings++;
          if (by !== null && by > 0) cut.push(`${now} by ${by} px`);
        }
        await page.keyboard.press(key);
      }
  }
  expect(drawings).toBeGreaterThan(60);
  expect(cut).toEqual([]);
});

test('nothing runs out of the page from 390 to 1920 px, nor at 200 % zoom', async ({ page }) => {
  test.setTimeout(300_000);
  for (const v of await views(page)) {
    for (const width of [390, 640, 1280, 1920]) {
      await page.setViewportSize({ width, height: 800 });
      await open(page, v.path);
      const over = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth
      );
      expect([v.name, width, over]).toEqual([v.name, width, 0]);
    }
  }
});

test('targets are large enough for a gloved finger, text is never under 12.5 px', async ({ page }) => {
  for (const v of await views(page)) {
    await open(page, v.path);
    const small = await page.evaluate(() =>
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
    expect([v.name, small]).toEqual([v.name, []]);
  }
});

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

test('nothing moves by itself when the system asks for calm, and little does otherwise', async ({ page }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  for (const v of await views(page)) {
    await open(page, v.path);
    const moving = await page.evaluate(() => document.getAnimations().length);
    expect([v.name, moving]).toEqual([v.name, 0]);
  }
});

test('the job view sends at most 100 kB of compressed script and no chart library', async ({ page }) => {
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
  expect(bytes).toBeLessThan(100_000);
});
