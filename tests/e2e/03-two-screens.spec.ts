import { expect, open, test, type, lineOf, readings, readingsTable, degreesIn } from './support/bench.ts';
import { A, B, be, done, foundTdc, say, toTdc, workshop } from './support/workshop.ts';

test('two people at two servers see each other’s readings within a second', async ({ browser }) => {
  const { jobId } = await workshop(['ida', 'otto']);
  const one = await browser.newContext({ baseURL: A });
  const two = await browser.newContext({ baseURL: B });
  await be(one, 'ida', A);
  await be(two, 'otto', B);
  await say(one.request, A, jobId, ...toTdc);
  const p = await one.newPage();
  const q = await two.newPage();
  await open(p, `/jobs/${jobId}`);
  await open(q, `/jobs/${jobId}`);
  // the live line is up once the other side has heard something
  await type(p, '1.8');
  await expect(readings(q)).toContainText('1.8 mm');

  for (const text of ['342.5', '11.5', '343.5', '12']) {
    const row = readingsTable(q);
    await p.locator('#main').focus();
    await p.keyboard.type(text);
    await p.keyboard.press('Enter');
    await expect(row).toContainText(`${Number(text).toFixed(text.includes('.') ? 1 : 0)}°`, { timeout: 1000 });
  }
  await type(q, '343');
  await expect(readingsTable(p)).toContainText('343°');
  expect(await q.getByTestId('result').textContent()).toBe(await p.getByTestId('result').textContent());

  await test.step('the floor follows too', async () => {
    const floor = await two.newPage();
    await open(floor, '/');
    await expect(floor.getByRole('main')).toContainText('Read the wheel after the top, to finish pair 3');
    await type(p, '11.5');
    await expect(floor.getByRole('main')).toContainText('True TDC is where the wheel reads 357.33°');
  });
  await one.close();
  await two.close();
});

test('of two people amending one reading the second is told, and what he typed is not lost', async ({ browser }) => {
  const { jobId } = await workshop(['ida', 'otto']);
  const one = await browser.newContext({ baseURL: A });
  const two = await browser.newContext({ baseURL: B });
  await be(one, 'ida', A);
  await be(two, 'otto', B);
  await say(one.request, A, jobId, ...foundTdc);
  const p = await one.newPage();
  const q = await two.newPage();
  await open(p, `/jobs/${jobId}`);
  await open(q, `/jobs/${jobId}`);
  const amend = async (page: typeof p, text: string) => {
    await page.getByRole('button', { name: /^342\.5°.*Amend/ }).click();
    await lineOf(page).fill(text);
    await page.keyboard.press('Enter');
    await lineOf(page).fill('misread');
  };
  await amend(p, '342');
  await amend(q, '343.5');
  // both hold the same state of the reading; hold back the news to the second
  await q.route('**/events?after=*', (r) => r.abort());
  await p.keyboard.press('Enter');
  await expect(readingsTable(p)).toContainText('342°');
  await q.keyboard.press('Enter');
  await expect(q.getByRole('alert').first()).toContainText('ida has just amended this reading to 342');
  await q.unroute('**/events?after=*');
  // what he typed stands with its reason, over a reload too, until it is put right or dropped on purpose
  await open(q, `/jobs/${jobId}`);
  const kept = q.getByRole('alert').filter({ hasText: '343.5' });
  await expect(kept).toContainText('was not taken');
  await expect(kept).toContainText('ida has just amended this reading to 342');
  await kept.getByRole('button', { name: 'Put it back on the line' }).click();
  await expect(lineOf(q)).toHaveValue('343.5');
  await q.keyboard.press('Escape');
  await kept.getByRole('button', { name: 'Drop it' }).click();
  await expect(kept).toHaveCount(0);
  await expect(readingsTable(q)).toContainText('342°');
  await one.close();
  await two.close();
});

test('the helper at the crank sees the turn across the bay, live', async ({ browser }) => {
  const { jobId } = await workshop(['ida']);
  const one = await browser.newContext({ baseURL: A });
  await be(one, 'ida', A);
  await say(
    one.request,
    A,
    jobId,
    ...foundTdc,
    ...done('tdc', 'mark', 'probe-out'),
    { kind: 'sign', sign: 'bothValvesClosed', seen: true },
    { kind: 'sign', sign: 'airPushedOut', seen: true },
    ...done('stroke')
  );
  const helper = await (await browser.newContext({ baseURL: B, viewport: { width: 390, height: 780 } })).newPage();
  await open(helper, `/bay/${jobId.slice(0, 6)}`);
  await expect(helper.getByRole('heading', { level: 1 })).toContainText('Turn clockwise');
  await expect(degreesIn(helper.getByRole('main'))).toHaveText('338.8°');
  await say(one.request, A, jobId, {
    kind: 'reading',
    step: 'ref',
    slot: 'stands',
    quantity: 'angle',
    text: '340.5',
    defaultUnit: 'deg',
    gaugeId: 'wheel'
  });
  await expect(degreesIn(helper.getByRole('main'))).toHaveText('9.8°');
  await expect(helper.getByRole('main')).toContainText('slower');
  await expect(helper.getByRole('main')).toContainText(/before firing TDC ± \d\.\d°/);
  await one.close();
  await helper.context().close();
});
