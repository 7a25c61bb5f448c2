import type { BrowserContext, Page } from '@playwright/test';
import { alive, expect, open, readingsTable, stepInHand, test, type, workAs } from './support/bench.ts';
import { A, be, depth, done, say, toTdc, workshop } from './support/workshop.ts';

/** What of a job's log is a reading, with who took it, as the server has it. */
async function stored(context: BrowserContext, jobId: string): Promise<string[]> {
  const r = await context.request.get(`${A}/api/jobs/${jobId}/events`);
  const { out } = (await r.json()) as { out: { kind: string; text?: string; by: { name: string } }[] };
  return out.filter((e) => e.kind === 'reading').map((e) => `${e.text} ${e.by.name}`);
}
/** Nothing that is written gets through, in any tab. */
const cut = (context: BrowserContext) =>
  context.route('**/events', (r) => (r.request().method() === 'POST' ? r.abort() : r.continue()));
const mend = (context: BrowserContext) => context.unroute('**/events');
const unsentRows = (page: Page) => readingsTable(page).getByText('unsent');

async function atTdc(context: BrowserContext, people = ['ida']): Promise<string> {
  const { jobId } = await workshop(people);
  await be(context, people[0]!, A);
  await say(context.request, A, jobId, ...toTdc, depth('1.8'));
  return jobId;
}

for (const closed of [0, 1])
  test(`two tabs of one job lose nothing, whichever is closed: tab ${closed + 1}`, async ({ page, context }) => {
    const jobId = await atTdc(context);
    const tabs = [page, await context.newPage()];
    for (const t of tabs) await open(t, `/jobs/${jobId}`);
    await cut(context);
    await type(tabs[0]!, '342.5');
    await type(tabs[1]!, '11.5');
    // each shows what the other has said too
    for (const t of tabs) await expect(unsentRows(t)).toHaveCount(2);
    await tabs[closed]!.close();
    await mend(context);
    const left = tabs[1 - closed]!;
    await expect(unsentRows(left)).toHaveCount(0, { timeout: 12_000 });
    await expect(readingsTable(left)).toContainText('342.5°');
    await expect(readingsTable(left)).toContainText('11.5°');
    expect((await stored(context, jobId)).sort()).toEqual(['1.8 ida', '11.5 ida', '342.5 ida']);
  });

test('what somebody typed is written under that name, whoever sits there when it is sent', async ({
  page,
  context
}) => {
  const jobId = await atTdc(context);
  await open(page, '/');
  await workAs(page, 'Otto Later');
  await workAs(page, 'ida');
  await open(page, `/jobs/${jobId}`);
  await cut(context);
  await type(page, '342.5');
  await expect(unsentRows(page)).toHaveCount(1);
  await workAs(page, 'Otto Later');
  await type(page, '11.5');
  await mend(context);
  await expect(unsentRows(page)).toHaveCount(0, { timeout: 12_000 });
  expect(await stored(context, jobId)).toEqual(['1.8 ida', '342.5 ida', '11.5 Otto Later']);
});

test('a name that never worked at this browser is not written under', async ({ page, context }) => {
  const jobId = await atTdc(context, ['ida', 'stranger']);
  await open(page, `/jobs/${jobId}`);
  const r = await page.request.post(`${A}/api/jobs/${jobId}/events`, {
    data: { id: crypto.randomUUID(), kind: 'remark', text: 'in another name', by: 'stranger' }
  });
  expect(r.status()).toBe(403);
  expect((await r.json()).error.message).toContain('has not worked at this browser');
});

test('unsent readings are said on every page and sent from there', async ({ page, context }) => {
  const jobId = await atTdc(context);
  await open(page, `/jobs/${jobId}`);
  await cut(context);
  await type(page, '342.5');
  await expect(unsentRows(page)).toHaveCount(1);
  await open(page, '/tray');
  const note = page.getByRole('banner').getByRole('status');
  await expect(note).toContainText('one thing unsent');
  for (const elsewhere of [`/bay/${jobId.slice(0, 8)}`, `/jobs/${jobId}/card`]) {
    await open(page, elsewhere);
    await expect(page.getByRole('status').filter({ hasText: 'one thing unsent' })).toBeVisible();
  }
  await mend(context);
  await expect(note).toBeHidden({ timeout: 12_000 });
  expect(await stored(context, jobId)).toContain('342.5 ida');
});

test('a reading the server fails on is set aside and shown, and those behind it go on', async ({ page, context }) => {
  const jobId = await atTdc(context);
  await open(page, `/jobs/${jobId}`);
  await context.route('**/events', (r) =>
    r.request().postData()?.includes('"342.5"')
      ? r.fulfill({ status: 500, json: { ok: false, error: { code: 'internal', message: 'Something went wrong.' } } })
      : r.continue()
  );
  await type(page, '342.5');
  await type(page, '343.5');
  const aside = page.getByRole('alert').filter({ hasText: 'was not taken' });
  await expect(aside).toContainText('“342.5” for “True TDC found” was not taken.', { timeout: 12_000 });
  await expect(readingsTable(page)).toContainText('343.5°');
  await expect(page.getByText('does not answer')).toBeHidden();
  const file = page.waitForEvent('download');
  await aside.getByRole('button', { name: 'Save as a file' }).click();
  expect((await file).suggestedFilename()).toMatch(/^not-taken-.*\.json$/);
  await context.unroute('**/events');
  await aside.getByRole('button', { name: 'Send it again' }).click();
  await expect(aside).toBeHidden();
  await expect.poll(() => stored(context, jobId)).toEqual(['1.8 ida', '343.5 ida', '342.5 ida']);
});

test('eight tabs of one job are all alive, and hear each other', async ({ page, context }) => {
  test.setTimeout(120_000);
  const jobId = await atTdc(context);
  const tabs = [page];
  for (let k = 1; k < 8; k++) tabs.push(await context.newPage());
  for (const t of tabs) await open(t, `/jobs/${jobId}`);
  await type(tabs[7]!, '342.5');
  for (const t of tabs) await expect(readingsTable(t)).toContainText('342.5°');
});

test('it is worked with under the other names of this machine, and answers to no foreign one', async ({ browser }) => {
  const local = A.replace('127.0.0.1', 'localhost');
  const context = await browser.newContext({ baseURL: local });
  const { jobId } = await workshop(['ida']);
  await be(context, 'ida', local);
  const page = await context.newPage();
  await open(page, `/jobs/${jobId}`);
  await expect(stepInHand(page)).toHaveAccessibleName(/Data sheet confirmed/);
  await say(context.request, local, jobId, ...done('intake'));
  // a form, which the framework guards by itself
  await open(page, '/tray');
  const foreign = await context.request.get(`${local}/`, { headers: { host: 'bench.example' } });
  expect(foreign.status()).toBe(421);
  expect(await foreign.text()).toContain('NEMRIK_HOSTS');
  const other = await context.request.post(`${local}/api/jobs/${jobId}/events`, {
    headers: { origin: 'http://elsewhere.example' },
    data: { id: crypto.randomUUID(), kind: 'remark', text: 'x' }
  });
  expect([other.status(), (await other.json()).error.code]).toEqual([403, 'other-origin']);
  await context.close();
});

test.describe('without the server', () => {
  test.use({ serviceWorkers: 'allow' });

  test('a page that was open here shows its last known state, says so, and takes readings', async ({
    page,
    context
  }) => {
    const jobId = await atTdc(context);
    await open(page, `/jobs/${jobId}`);
    await page.evaluate(() => navigator.serviceWorker.ready);
    await page.reload();
    await alive(page);
    // logged after the page was fetched: it is in the last known state all the same
    await type(page, '342.5');
    await expect(unsentRows(page)).toHaveCount(0);
    const kept = () => page.evaluate(async () => (await (await caches.open('nemrik-last')).keys()).length);
    await expect.poll(kept).toBe(1);
    await context.setOffline(true);
    await page.reload();
    await alive(page);
    await expect(page.getByRole('alert')).toContainText('This is the last known state of the job');
    await expect(readingsTable(page)).toContainText('342.5°');
    await type(page, '11.5');
    await expect(unsentRows(page)).toHaveCount(1);
    await page.goto('/engines').catch(() => {});
    await expect(page.getByRole('heading', { name: 'The server does not answer' })).toBeVisible();
    await context.setOffline(false);
    await open(page, `/jobs/${jobId}`);
    await expect(unsentRows(page)).toHaveCount(0);
    await expect(readingsTable(page)).toContainText('11.5°');
    await expect(page.getByRole('alert')).toHaveCount(0);
    expect(await stored(context, jobId)).toEqual(['1.8 ida', '342.5 ida', '11.5 ida']);
  });
});

test('whoever chooses a name in one tab writes under it in no other: values, parts, engines, jobs and photographs', async ({
  page,
  context
}) => {
  const { engineId, jobId } = await workshop(['ida', 'nele'], ['staticBtdc']);
  await be(context, 'ida', A);
  await page.goto(`${A}/engines/${engineId}`);
  await alive(page);
  const other = await context.newPage();
  await other.goto(`${A}/tray`);
  await alive(other);
  // somebody else sits down, in a third tab
  await be(context, 'nele', A);
  const request = context.request;
  const values = { values: [{ name: 'staticBtdc', given: '9', unit: null, source: 'plate' }] };
  const shown = { 'x-nemrik-by': 'ida' };
  const answers = await Promise.all([
    request.post(`${A}/api/engines/${engineId}/values`, { data: values, headers: shown }),
    request.put(`${A}/api/jobs/${jobId}/photos/${crypto.randomUUID()}`, {
      data: Buffer.from([0xff, 0xd8, 0xff, 0xe0]),
      headers: { ...shown, 'content-type': 'image/jpeg' }
    })
  ]);
  for (const r of answers) {
    expect(r.status()).toBe(409);
    expect((await r.json()).error).toMatchObject({ code: 'another-name', path: 'by' });
  }
  // by hand in the tab that still shows the first name: it says so, and keeps what was typed
  await other.getByLabel('Name').first().fill('Wheel of the other tab');
  await other.getByLabel('Accuracy ±, as stated').fill('0.25');
  await other.getByLabel('Smallest step it shows').fill('0.5');
  await other
    .getByRole('button', { name: /^Add|^Put/ })
    .first()
    .click();
  await expect(other.getByRole('alert').first()).toContainText(
    'Another name was chosen in this browser meanwhile, nele'
  );
  await expect(other.getByLabel('Name').first()).toHaveValue('Wheel of the other tab');
  const kept = (await (await request.get(`${A}/api/jobs/${jobId}/engine`)).json()) as { out: { values: object } };
  expect(Object.keys(kept.out.values)).not.toContain('staticBtdc');
});
