import pg from 'pg';
import { alive, expect, open, test, type, lineOf, readings, readingsTable } from './support/bench.ts';
import { addresses, filled, takingBodies } from './support/routes.ts';
import { A, be, depth, foundTdc, say, toTdc, wheel, workshop } from './support/workshop.ts';

test.beforeEach(({ context }) => be(context, 'ida', A));

test('a unit of something else, an impossible depth and a far reading are asked about in place, and nothing is blocked', async ({
  page,
  request,
  context
}) => {
  const { jobId } = await workshop(['ida']);
  await say(context.request, A, jobId, ...toTdc);
  void request;
  await open(page, `/jobs/${jobId}`);
  const line = lineOf(page);
  const means = page.locator('#meaning');
  await page.keyboard.type('18 kPa');
  await expect(means).toContainText('kPa is not a unit of length. Use mm, in, thou.');
  await page.keyboard.press('Enter');
  await expect(line).toHaveValue('18 kPa');
  await line.fill('180');
  await expect(means).toContainText('180 mm');
  await page.keyboard.press('Enter');
  await expect(means).toContainText('The stroke is 92.0 mm: the piston does not go 180.0 mm down.');
  await line.fill('70.9 thou');
  await expect(means).toContainText('70.9 thou (1.801 mm)');
  await page.keyboard.press('Enter');
  await expect(readings(page)).toContainText('70.9 thou (1.801 mm)');
  await type(page, '342.5');
  await type(page, '11.5');
  await page.keyboard.type('300');
  await page.keyboard.press('Enter');
  await expect(means).toContainText('42.5° from the other readings of this side');
  await page.keyboard.press('Enter');
  await expect(line).toHaveValue('');
  await expect(readingsTable(page)).toContainText('300°');
});

test('before and after swapped: the pair is named and swapped back with one press', async ({ page, context }) => {
  const { jobId } = await workshop(['ida']);
  await say(
    context.request,
    A,
    jobId,
    ...toTdc,
    depth('1.8'),
    wheel('before', '342.5'),
    wheel('after', '11.5'),
    wheel('before', '12'),
    wheel('after', '343.5')
  );
  await open(page, `/jobs/${jobId}`);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('One pair looks swapped: look at it first');
  await expect(readings(page)).toContainText('In pair 2 the wheel goes from 12° before the top to 343.5° after it');
  await page.getByRole('button', { name: 'Swap the two' }).click();
  await expect(readings(page)).not.toContainText('In pair 2');
  await expect(readingsTable(page).locator('tbody tr').nth(1).locator('td').nth(3)).toHaveText('357.75°');
  await expect(page.getByRole('button', { name: /unsent/ })).toHaveCount(0);
});

test('a step without its readings says what is missing', async ({ page, context }) => {
  const { jobId } = await workshop(['ida']);
  await say(context.request, A, jobId, ...toTdc);
  await open(page, `/jobs/${jobId}`);
  await page.keyboard.press('d');
  await expect(page.getByRole('alert')).toContainText(
    'has no reading yet: wheel, before the top; wheel, after the top. Log it, or skip the step and say why.'
  );
});

test('a value that the data sheet lacks is named and entered on the spot', async ({ page }) => {
  const { jobId } = await workshop(['ida'], ['rotorDirection', 'staticBtdc']);
  await open(page, `/jobs/${jobId}`);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Enter 2 values of the data sheet');
  await page.keyboard.press('d');
  await expect(page.getByRole('alert').first()).toContainText(
    'the data sheet lacks: rotor runs, seen from above; initial timing'
  );
  await page.getByLabel('Rotor runs, seen from above').selectOption('ccw');
  await page.getByLabel('Initial timing').fill('12');
  await page.getByLabel('Where it comes from').fill('plate');
  await page.getByRole('button', { name: 'Enter', exact: true }).click();
  // outside its own limits of 6 to 8
  await expect(page.getByRole('alert').last()).toContainText('outside its own limits');
  await expect(page.getByLabel('Initial timing')).toHaveValue('12');
  await page.getByLabel('Initial timing').fill('7');
  await page.getByRole('button', { name: 'Enter', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    'Check the data sheet against the plates of engine and distributor.'
  );
});

test('too close to call is a state with what to do about it', async ({ page, context }) => {
  const { jobId } = await workshop(['ida']);
  await say(context.request, A, jobId, ...foundTdc, {
    kind: 'reading',
    step: 'strobe',
    slot: 'strobe',
    quantity: 'timing',
    text: '10.2b',
    defaultUnit: 'deg',
    gaugeId: 'strobe'
  });
  await open(page, `/jobs/${jobId}`);
  await page.getByRole('button', { name: /Time and prove/ }).click();
  await page.getByRole('button', { name: /Initial timing by strobe/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    /^Turn the housing anticlockwise \(from above\) 0\.\d+°, .* to the middle\. 7\.5° ± \d\.\d° before: too close to call, limits 6° to 8° before$/
  );
  await expect(page.getByTestId('result')).toContainText('too close to call');
  await expect(page.getByRole('note', { name: 'What it rests on' })).toContainText('What narrows it most stands below');
});

test('the server gone in the middle: the reading stays as unsent, survives a reload, is retried, and lands once', async ({
  page,
  context
}) => {
  const { jobId } = await workshop(['ida']);
  await say(context.request, A, jobId, ...toTdc, depth('1.8'));
  await open(page, `/jobs/${jobId}`);
  const name = new URL(process.env.E2E_DATABASE_URL!).pathname.slice(1);
  // the door to close is closed from another room of the same server
  const c = new pg.Client({ connectionString: process.env.E2E_DATABASE_URL!.replace(/[^/]*$/, 'postgres') });
  await c.connect();
  await c.query(`ALTER DATABASE ${name} ALLOW_CONNECTIONS false`);
  await c.query(
    'SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = $1 AND pid <> pg_backend_pid()',
    [name]
  );
  try {
    await page.locator('#main').focus();
    await page.keyboard.type('342.5');
    await page.keyboard.press('Enter');
    await expect(readingsTable(page)).toContainText(/342\.5°\s*unsent/);
    await expect(page.getByRole('button', { name: /1 unsent, trying again/ })).toBeVisible();
    await expect(page.getByRole('alert')).toContainText('does not answer');
    const other = await context.newPage();
    await other.goto(`/jobs/${jobId}`);
    await expect(other.getByRole('heading', { level: 1 })).toContainText('The database does not answer');
    await other.close();
  } finally {
    await c.query(`ALTER DATABASE ${name} ALLOW_CONNECTIONS true`);
  }
  await expect(readingsTable(page)).not.toContainText('unsent', { timeout: 15_000 });
  await expect(readingsTable(page)).toContainText('342.5°');
  await c.end();
  const d = new pg.Client({ connectionString: process.env.E2E_DATABASE_URL });
  await d.connect();
  const { rows } = await d.query(`SELECT count(*)::int AS n FROM event WHERE job_id = $1 AND typed = '342.5'`, [jobId]);
  await d.end();
  expect(rows[0].n).toBe(1);
  await page.reload();
  await alive(page);
  await expect(readingsTable(page)).toContainText('342.5°');
});

test('a reload while unsent keeps the reading', async ({ page, context }) => {
  const { jobId } = await workshop(['ida']);
  await say(context.request, A, jobId, ...toTdc, depth('1.8'));
  await open(page, `/jobs/${jobId}`);
  await page.route('**/events', (r) => (r.request().method() === 'POST' ? r.abort() : r.continue()));
  await page.locator('#main').focus();
  await page.keyboard.type('341.5');
  await page.keyboard.press('Enter');
  await expect(readingsTable(page)).toContainText(/341\.5°\s*unsent/);
  await page.unroute('**/events');
  await page.reload();
  await alive(page);
  await expect(readingsTable(page)).toContainText('341.5°');
  await expect(readingsTable(page)).not.toContainText('unsent');
});

test.describe('over HTTP', () => {
  test('bad requests get a clear answer and never a 500', async ({ context }) => {
    const { jobId } = await workshop(['ida']);
    const post = (path: string, data: unknown, headers = {}) =>
      context.request.post(`${A}${path}`, {
        data: data as object,
        headers: { 'content-type': 'application/json', ...headers }
      });
    const events = `/api/jobs/${jobId}/events`;
    for (const [path, data, status] of [
      [events, '{"id":', 422],
      [events, {}, 422],
      [events, { id: 'x', kind: 'done', step: 'safe' }, 422],
      ['/api/jobs/not-an-id/events', { id: crypto.randomUUID(), kind: 'done', step: 'safe' }, 404],
      [`/api/jobs/${crypto.randomUUID()}/events`, { id: crypto.randomUUID(), kind: 'done', step: 'safe' }, 404],
      ['/api/engines/none/values', { values: [{ name: 'strokeMm', given: '1', unit: 'mm', source: 'plate' }] }, 404],
      ['/api/person', { id: 'nobody' }, 404],
      ['/api/prefs', { theme: 'neon' }, 422]
    ] as const) {
      const r = await post(path, data);
      expect([path, r.status()]).toEqual([path, status]);
      expect((await r.json()).error.message.length).toBeGreaterThan(10);
    }
    expect(
      (
        await post(
          events,
          { id: crypto.randomUUID(), kind: 'remark', text: 'x' },
          { origin: 'http://elsewhere.example' }
        )
      ).status()
    ).toBe(403);
    await context.clearCookies();
    expect((await post(events, { id: crypto.randomUUID(), kind: 'remark', text: 'x' })).status()).toBe(401);
  });

  test('no body, however deep, wide, long or odd, ends the server or gets a 500, at any address', async ({
    context
  }) => {
    test.setTimeout(150_000);
    const { jobId, engineId } = await workshop(['ida']);
    const ids = (a: string) => filled(a, { id: a.includes('engines/') ? engineId : jobId, name: 'curve.match' });
    const [places, reading] = [addresses().map(ids), takingBodies().map(ids)];
    expect(places).toContain(`/api/jobs/${jobId}/events`);
    expect(places.length).toBeGreaterThan(25);
    expect(reading.length).toBeGreaterThan(6);
    const deep = (open: string, close: string, n = 60_000) => `${open.repeat(n)}1${close.repeat(n)}`;
    const bodies = {
      deep: deep('[', ']'),
      'deep in objects': deep('{"a":', '}', 35_000),
      'deep and never closed': '['.repeat(200_000),
      wide: `[${'0,'.repeat(100_000)}0]`,
      long: JSON.stringify({ text: 'x'.repeat(240_000) }),
      'as if it held itself': '{"$ref":"#","a":{"$ref":"#/a"},"__proto__":{"a":{"constructor":{"prototype":{}}}}}'
    };
    // the line of a request that was answered before all of it was read is cut, and with it what was sent on it next: that is
    // sent again. Of a server that ended, every later line is refused
    const send = async (method: string, path: string, data: string, again = 3): Promise<number> => {
      try {
        const headers = { 'content-type': 'application/json' };
        return (await context.request.fetch(`${A}${path}`, { method, data, headers })).status();
      } catch (e) {
        if (!/ECONNRESET|EPIPE|socket hang up/.test((e as Error).message)) throw e;
        return again > 0 ? send(method, path, data, again - 1) : 413;
      }
    };
    const answers: string[] = [];
    for (const [what, data] of Object.entries(bodies)) {
      // of what reads no body at all one kind is enough
      for (const path of what === 'as if it held itself' ? places : reading)
        for (const method of path.includes('/photos/') ? ['POST', 'PUT'] : ['POST']) {
          const status = await send(method, path, data);
          if (status < 400 || status >= 500) answers.push(`${what} to ${method} ${path}: ${status}`);
        }
      // two at once of what goes to a thread, and a calculation of somebody else behind them
      const good = '{"readings":[1,2],"gauge":{"resolution":0.1,"accuracy":0.1}}';
      const sent = await Promise.all([
        send('POST', '/api/calc/curve.match', data),
        send('POST', '/api/calc/curve.match', data),
        send('POST', '/api/calc/gauge.combine', good)
      ]);
      expect(sent).toEqual([422, 422, 200]);
    }
    expect(answers).toEqual([]);
    expect((await context.request.get(`${A}/api/health/ready`)).status()).toBe(200);
  });

  test('an action is called by its own name only', async ({ context }) => {
    await workshop(['ida']);
    for (const name of ['__proto__', 'constructor', '__proto__&x=1', 'toString', '%5f%5fproto__', 'nothing'])
      expect([
        name,
        (await context.request.post(`${A}/tray?/${name}`, { form: { a: 'b' }, headers: { origin: A } })).status()
      ]).toEqual([name, 404]);
  });

  test('an address that leads nowhere says so', async ({ page }) => {
    await page.goto('/jobs/7e57');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('There is no such job.');
    await page.goto('/engines/none');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('There is no such engine.');
  });
});
