import type { Page } from '@playwright/test';
import { pressDone, expect, holding, open, stepInHand, test, type } from './support/bench.ts';
import { PEDESTAL_SHEET } from '../support/scenario-sheets.ts';
import { A, be, done as finished, foundTdc, laidOut, say, workshop } from './support/workshop.ts';

/** Rules that guard hands and engines: broken, refused, said to have happened, and led back. */
const bars = (page: Page) => page.getByRole('complementary', { name: 'Where the engine is' });
const line = (page: Page) => page.getByRole('contentinfo').getByRole('textbox');
const go = async (page: Page, phase: RegExp, step: RegExp) => {
  const button = page.getByRole('button', { name: step });
  if ((await button.count()) === 0) await page.getByRole('button', { name: phase }).click();
  await button.first().click();
};
const strokeKnown = [
  { kind: 'sign', sign: 'airPushedOut', seen: true } as const,
  { kind: 'sign', sign: 'intakeJustClosed', seen: true } as const
];
const toReference = [
  ...foundTdc,
  ...finished('tdc', 'mark', 'probe-out'),
  ...strokeKnown,
  ...finished('stroke', 'ref')
];

test('the starter is refused while the bar is on the crank, and the engine is found again after it happened', async ({
  page,
  context
}) => {
  await be(context, 'ida', A);
  const { jobId } = await workshop(['ida']);
  await say(context.request, A, jobId, ...toReference);
  await open(page, `/jobs/${jobId}`);
  await go(page, /Time and prove/, /First start/);
  await pressDone(page);
  const alert = page.getByRole('alert').first();
  await expect(alert).toContainText(/^\s*Never .*Why: .*Put it right first: /);
  // what happened is said at its bar
  const bar = bars(page).getByRole('group').filter({ hasText: 'Bar on the crank: no starter' });
  await bar.getByText('Bar on the crank: no starter').click();
  await expect(bar).toContainText('Never operate the starter with the bar on the crank.');
  await expect(bar).toContainText('Why: The bar is thrown.');
  await bar.getByRole('button', { name: 'It happened' }).click();
  await line(page).fill('somebody tried the key');
  await line(page).press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'It happened. Now: Isolate, see to people' })).toBeVisible();
  // the crank is found again: nobody counted that turn
  await expect(bars(page).getByRole('group', { name: 'Crank' })).not.toContainText('before firing TDC');
  await go(page, /Find the crank/, /Compression stroke, two signs/);
  await expect(stepInHand(page)).toHaveAccessibleName(holding('to be repeated'));
  // put right: seen off, and by whom
  await bar.getByRole('button', { name: 'Seen: barring tool off' }).click();
  await line(page).fill('bar lies on the bench');
  await line(page).press('Enter');
  await expect(bars(page).getByText('Bar on the crank: no starter')).toHaveCount(0);
  // what was said counts at once on the screen and is on the card as soon as it is written
  await expect(async () => {
    await page.goto(`/jobs/${jobId}/card`);
    await expect(page.getByRole('main')).toContainText('bar lies on the bench', { timeout: 500 });
  }).toPass();
  await expect(page.getByRole('main')).toContainText('it happened (somebody tried the key)');
  await expect(page.getByRole('main')).toContainText('steps to go');
});

test('a state that keeps hands whole is not ticked off: what was seen is asked, and a counted one comes from its step', async ({
  page,
  context
}) => {
  await be(context, 'ida', A);
  const { jobId } = await workshop(['ida']);
  await say(context.request, A, jobId, ...finished('intake'));
  await open(page, `/jobs/${jobId}`);
  await go(page, /Make safe/, /Plugs out/);
  // a step that is looked at ahead of its time says what holds it in one line
  await page.getByText('Held. Put it right first: battery lead off').click();
  await page.getByRole('button', { name: 'seen: battery lead off' }).click();
  await expect(page.getByRole('contentinfo')).toContainText('what was seen, and by whom if it was not you?');
  await line(page).fill('lead tied back, tag on');
  await line(page).press('Enter');
  await expect(page.getByText('Held.')).toHaveCount(0);
  await go(page, /Time and prove/, /First start/);
  await page.getByText(/^Held\./).click();
  await expect(page.getByText('counted or measured there, not said here')).toBeVisible();
});

test('a drive lifted to be tried again is no more in mesh nor seated, and its steps are open again', async ({
  page,
  context
}) => {
  await be(context, 'ida', A);
  const { jobId } = await workshop(['ida']);
  await say(
    context.request,
    A,
    jobId,
    ...toReference,
    ...finished('tower', 'clamp-ready', 'seal', 'pump-shaft', 'prime-bore', 'slot', 'in')
  );
  await open(page, `/jobs/${jobId}`);
  await go(page, /Fit the drive/, /Seated on its face/);
  await page.getByRole('button', { name: 'Lifted out, to try again' }).click();
  await go(page, /Fit the drive/, /Rotor led, distributor let down/);
  await expect(stepInHand(page)).toHaveAccessibleName(holding('to be repeated'));
});

/** Goes down the run sheet to a step by its title. */
async function to(page: Page, title: string) {
  const hand = page.locator('#step-in-hand');
  for (const key of ['k', 'j'])
    for (let k = 0; k < 60 && !(await hand.innerText()).includes(title); k++) await page.keyboard.press(key);
  await expect(hand).toContainText(title);
}
const refused = (page: Page) => page.getByRole('alert').first();

test('in the drive family: a pedestal is not tightened onto its gauge washer, and is led back when it was', async ({
  page,
  context
}) => {
  await be(context, 'ida', A);
  const { jobId } = await workshop(['ida'], [], { sheet: 'pedestal', values: PEDESTAL_SHEET });
  await say(
    context.request,
    A,
    jobId,
    laidOut,
    ...finished('intake', 'safe', 'bar', 'cover', 'inspect', 'washer-prep'),
    {
      kind: 'reading',
      step: 'washer',
      slot: 'washer',
      quantity: 'length',
      text: '1.48',
      defaultUnit: 'mm',
      gaugeId: null
    },
    ...finished('washer', 'washer-in')
  );
  await open(page, `/jobs/${jobId}`);
  await to(page, 'Packing and pedestal on');
  await pressDone(page);
  await expect(refused(page)).toContainText(
    'Never fit the pedestal for good, or turn by the starter, with the washer in.'
  );
  await expect(refused(page)).toContainText('Put it right first: Gauge washer out');
  const bar = bars(page).getByRole('group').filter({ hasText: 'Gauge washer in' });
  await bar.getByText('Gauge washer in').first().click();
  await bar.getByRole('button', { name: 'It happened' }).click();
  await line(page).fill('nuts were nipped before I saw it');
  await line(page).press('Enter');
  await expect(
    page.getByRole('alert').filter({ hasText: 'Now: Lift the pedestal, take the washer out, look at gear faces' })
  ).toBeVisible();
  await say(
    context.request,
    A,
    jobId,
    { kind: 'skip', step: 'gap', reason: 'measured on another day' },
    { kind: 'skip', step: 'packing', reason: 'measured on another day' },
    { kind: 'skip', step: 'pack-measure', reason: 'measured on another day' },
    ...finished('washer-out')
  );
  await expect(bars(page).getByText('Gauge washer in')).toHaveCount(0);
  await page.goto(`/jobs/${jobId}/card`);
  await expect(page.getByRole('main')).toContainText('it happened (nuts were nipped before I saw it)');
});

test('in the curve family: an advance opened without a tray and a count is tried again, and the parts are counted', async ({
  page,
  context
}) => {
  await be(context, 'ida', A);
  const { jobId } = await workshop(['ida'], [], { sheet: 'recurve' });
  const skipped = [
    'intake',
    'ring',

    'mark-plugs',
    'mark-bar',
    'mark-look',
    'mark-wheel',
    'mark-tdc',
    'mark',
    'mark-probe-out',
    'mark-off',
    'strobe-on',
    'hose',
    'sweep-list',
    'start',
    'baseline',
    'targets',
    'search',
    'tray-laid'
  ].map((step) => ({ kind: 'skip', step, reason: 'measured on another day' }) as const);
  await say(
    context.request,
    A,
    jobId,
    ...skipped.slice(0, 1),
    ...finished('secure', 'mark-safe', 'free'),
    ...skipped.slice(1),
    { kind: 'say', flag: 'battery-isolated', on: true, seen: 'lead tied back' },
    ...finished('safe')
  );
  await open(page, `/jobs/${jobId}`);
  await to(page, 'Parts changed without loss');
  await pressDone(page);
  await expect(refused(page)).toContainText(/^\s*Never work on springs, bush or stop nut without a tray and a count/);
  await expect(refused(page)).toContainText(/Why: The stud breaks, .*Put it right first: /);
  // somebody had opened it all the same
  const bar = bars(page).getByRole('group').filter({ hasText: 'No tray, no count' });
  await bar.getByText('No tray, no count: do not open the advance').click();
  await bar.getByRole('button', { name: 'It happened' }).click();
  await line(page).fill('springs were off before a tray lay there');
  await line(page).press('Enter');
  await expect(
    page.getByRole('alert').filter({ hasText: 'It happened. Now: Count the parts, replace the plate' })
  ).toBeVisible();
  // led back: whether the weights move is not known any more, and the parts are counted first
  await to(page, 'Curve swept again');
  await expect(page.getByRole('main')).toContainText(/Held\. Put it right first: [^.]*weights move and return/);
  await to(page, 'Tray laid, parts counted');
  await page.getByRole('button', { name: 'Open again' }).click();
  await type(page, '7');
  await pressDone(page);
  await expect(bars(page).getByText('No tray, no count')).toHaveCount(0);
  await to(page, 'Parts changed without loss');
  await type(page, '7');
  await pressDone(page);
  await expect(page.getByText(/Done: Parts changed without loss/)).toBeAttached();
  await to(page, 'Weights free with the new parts');
  await pressDone(page);
  await to(page, 'Curve swept again');
  await expect(page.getByRole('main')).toContainText('Held.');
  await expect(page.getByRole('main')).not.toContainText('weights move and return');
  await expect(async () => {
    await page.goto(`/jobs/${jobId}/card`);
    await expect(page.getByRole('main')).toContainText('it happened (springs were off before a tray lay there)', {
      timeout: 500
    });
  }).toPass();
});

test('a false reading is refused, put right, and taken back after Done: step, floor and card say so', async ({
  page,
  context
}) => {
  await be(context, 'ida', A);
  const { jobId } = await workshop(['ida']);
  const api = context.request;
  await say(api, A, jobId, ...foundTdc, ...finished('tdc', 'mark', 'probe-out'), ...strokeKnown, ...finished('stroke'));
  await open(page, `/jobs/${jobId}`);
  await expect(stepInHand(page)).toHaveAccessibleName(holding('Crank to the reference'));
  const body = page.locator('body');
  await expect(body).toContainText(/where the wheel shows [\d.]+°/);
  const told = /where the wheel shows ([\d.]+)°/.exec((await body.textContent())!.replace(/\s+/g, ' '))!;
  const right = Number(told[1]);
  const wrong = ((right + 51) % 360).toFixed(1);

  type Written = { id: string; kind: string; step?: string };
  const log = async () => (await (await api.get(`${A}/api/jobs/${jobId}/events`)).json()).out as Written[];
  const amend = async (text: string, reason: string) => {
    const all = await log();
    const read = all.find((e) => e.kind === 'reading' && e.step === 'ref')!;
    const basis = all.findLast((e) => e.kind === 'amend') ?? read;
    const said = {
      kind: 'amend',
      replaces: read.id,
      basis: basis.id,
      reason,
      text,
      defaultUnit: 'deg',
      gaugeId: 'wheel'
    };
    await say(api, A, jobId, said as never);
  };

  await test.step('a wheel that stands 51° elsewhere is no reference', async () => {
    await type(page, wrong);
    await expect.poll(async () => (await log()).some((e) => e.kind === 'reading' && e.step === 'ref')).toBe(true);
    await pressDone(page);
    const refused = await api.post(`${A}/api/jobs/${jobId}/events`, {
      data: { id: crypto.randomUUID(), kind: 'done', step: 'ref' }
    });
    expect(refused.status()).toBe(422);
    expect((await log()).some((e) => e.kind === 'done' && e.step === 'ref')).toBe(false);
  });
  await test.step('put right with a reason, the step is done', async () => {
    await amend(right.toFixed(1), 'misread by a spoke');
    await say(api, A, jobId, ...finished('ref'));
  });
  await test.step('amended to what it never was, it takes with it what rests on it', async () => {
    await amend(wrong, 'it stood there after all');
    await open(page, `/jobs/${jobId}`);
    await expect(stepInHand(page)).toHaveAccessibleName(holding('taken back:'));
    // the floor has more jobs than one page shows: this engine's is looked for
    const { name } = (await (await api.get(`${A}/api/jobs/${jobId}/engine`)).json()).out as { name: string };
    await page.goto(`/?find=${encodeURIComponent(name)}`);
    await expect(page.locator(`a[href="/jobs/${jobId}"]`)).toContainText('taken back:');
    await page.goto(`/jobs/${jobId}/card`);
    await expect(page.getByRole('main')).toContainText('taken back:');
  });
});
