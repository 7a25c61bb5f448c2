import { expect, open, test } from './support/bench.ts';
import { be, DEMO } from './support/workshop.ts';

/** From one job to another by a link: what is said then is said on the second job. */
test.use({ baseURL: DEMO });
test.beforeEach(({ context }) => be(context, 'ines-farrow', DEMO));

test('a link from one job to another opens the other’s session, and a reading there is written there', async ({
  page
}) => {
  await open(page, '/');
  const link = (engine: string) =>
    page
      .getByRole('link')
      .filter({ hasText: engine })
      .filter({ hasText: /verify mark/ })
      .first()
      .getAttribute('href');
  const [from, to] = [(await link('Fire pump'))!, (await link('Dredger Otter'))!];
  await open(page, from);
  await expect(page).toHaveTitle(/^Fire pump/);
  // a link as a remark or a trend may carry one: followed by the router, without a fresh page
  await page.evaluate((href) => {
    (window as unknown as { same: boolean }).same = true;
    const a = Object.assign(document.createElement('a'), { href, textContent: 'the other job' });
    document.querySelector('main')!.prepend(a);
  }, to);
  await page.getByRole('link', { name: 'the other job' }).click();
  await expect(page).toHaveTitle(/^Dredger Otter/);
  expect(await page.evaluate(() => (window as unknown as { same?: boolean }).same)).toBe(true);
  const said = page.waitForRequest((r) => r.method() === 'POST' && r.url().includes('/events'));
  await page.keyboard.press('r');
  await page.keyboard.type('seen from the other job');
  await page.keyboard.press('Enter');
  expect(new URL((await said).url()).pathname).toBe(`/api${to}/events`);
  const log = (id: string) =>
    page.request.get(`/api${id}/events`).then((r) => r.json() as Promise<{ out: { kind: string; text?: string }[] }>);
  await expect.poll(async () => (await log(to)).out.filter((e) => e.text === 'seen from the other job').length).toBe(1);
  expect((await log(from)).out.filter((e) => e.text === 'seen from the other job')).toEqual([]);
});
