import { chromium } from '@playwright/test';
import { CHROMIUM, ensureChromium } from '../../scripts/lib/debian.mjs';
import { longest, tasksDuring } from './tasks.mjs';

/** A sweep as an instrument writes it: one way up, a ramp and a flat. */
const sweep = (points) =>
  [
    'rpm,deg,dir,scale',
    ...Array.from({ length: points }, (_, k) => {
      const deg = 8 + 23 * Math.min(1, (1.6 * k) / points);
      return `${600 + Math.round((3600 * k) / points)},${deg.toFixed(1)},up,engine`;
    })
  ].join('\n');

/**
 * The longest task of the main thread, in milliseconds, from the press that logs a file of so many points until all are there:
 * by the clock, and by the thread's own processor time. `path` is a recurve on which nothing was read yet.
 */
export async function fileCost(url, path, person, points) {
  ensureChromium();
  const browser = await chromium.launch(CHROMIUM);
  try {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    await context.addCookies([{ name: 'nemrik-person', value: person, url }]);
    const page = await context.newPage();
    await page.goto(url + path);
    await page.waitForSelector('html[data-hydrated]');
    await page
      .locator('.spine')
      .getByRole('button', { name: /curve as it was found, swept/i })
      .click();
    await page
      .locator('input[type=file][accept*=csv]')
      .setInputFiles({ name: 'sweep.csv', mimeType: 'text/csv', buffer: Buffer.from(sweep(points)) });
    // what is fetched while a page is idle is here by then
    await page.waitForTimeout(3000);
    const log = page.getByRole('button', { name: 'Log these points' });
    const tasks = await tasksDuring(browser, page, async () => {
      await log.evaluate((b) => b.click());
      await page.getByTestId('fit').waitFor();
      await log.waitFor({ state: 'detached' });
      await page.waitForTimeout(2000);
    });
    return longest(tasks);
  } finally {
    await browser.close();
  }
}
