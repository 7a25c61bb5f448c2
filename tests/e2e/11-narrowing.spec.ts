import type { Page } from '@playwright/test';
import { PEDESTAL_SHEET } from '../support/scenario-sheets.ts';
import { pressDone, expect, open, test, type } from './support/bench.ts';
import { A, be, depth, done as finished, laidOut, say, wheel, workshop } from './support/workshop.ts';

/** A figure that few readings leave wide says what would narrow it most and by how much; who does so gets what was said. */
const advice = (page: Page) => page.getByTestId('advice').first();
const PM = /± (\d+(?:\.\d+)?)/;
async function told(page: Page): Promise<{ what: string; from: number; to: number }> {
  const said = /What narrows it most: (.*?), from ± ([\d.]+)\D*? to ± ([\d.]*\d)/.exec(
    (await advice(page).textContent())!
  );
  if (!said) throw new Error(`no advice in: ${await advice(page).textContent()}`);
  return { what: said[1]!, from: Number(said[2]), to: Number(said[3]) };
}
const pmOf = async (page: Page, of: string) => Number(PM.exec((await page.getByTestId(of).first().textContent())!)![1]);

test('a setting by two readings that scatter is narrowed by what is advised', async ({ page, context }) => {
  await be(context, 'ida', A);
  const { jobId } = await workshop(['ida']);
  await say(
    context.request,
    A,
    jobId,
    ...finished('intake', 'safe', 'bench', 'plugs', 'bar', 'wheel'),
    depth('1.8'),
    ...['342.5', '343', '343.5'].flatMap((b) => [wheel('before', b), wheel('after', '12')])
  );
  await open(page, `/jobs/${jobId}`);
  await page.getByRole('button', { name: /Time and prove/ }).click();
  await page.getByRole('button', { name: /Initial timing by strobe/ }).click();
  // the mark is taken off: these two come to the middle of the limits, and only their scatter leaves it open
  await type(page, '11.5b');
  await page.getByLabel('it repeats this setting').check();
  await type(page, '7.5b');
  const first = await told(page);
  expect(first.what).toBe('one more reading');
  expect(await pmOf(page, 'result')).toBeCloseTo(first.from, 2);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Leave the housing as it stands');
  // the next one in the middle: it scatters less than the two before
  await page.getByLabel('it repeats this setting').check();
  await type(page, '9.5b');
  await expect.poll(() => pmOf(page, 'result')).toBeLessThan(first.from);
  expect(await pmOf(page, 'result')).toBeLessThanOrEqual(first.to + 0.01);
});

test('an end float by one place is narrowed by what is advised', async ({ page, context }) => {
  await be(context, 'uda-marsh', A);
  const { jobId } = await workshop(['uda-marsh'], [], {
    sheet: 'pedestal',
    values: PEDESTAL_SHEET,
    gauges: [
      ['micrometer', 'micrometer', 0.01, 0.004],
      ['blades-wide', 'blade', 0.01, 0.03]
    ]
  });
  await say(
    context.request,
    A,
    jobId,
    laidOut,
    ...finished('intake', 'safe', 'bar', 'cover', 'inspect', 'washer-prep')
  );
  await open(page, `${A}/jobs/${jobId}`);
  for (const w of ['1.60', '1.61', '1.60']) await type(page, w);
  await pressDone(page);
  await pressDone(page);
  await type(page, '0.50 + 0.48 + 0.40');
  await expect(page.getByTestId('budget').first()).toContainText('the blades’ own ±');
  const first = await told(page);
  expect(first.what).toBe('one blade less in a pack');
  await page.keyboard.press('u');
  await type(page, '0.98 + 0.40');
  await expect.poll(async () => (await told(page)).from).toBeCloseTo(first.to, 3);
});
