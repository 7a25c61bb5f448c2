import { SAW } from '../support/magneto-jobs.ts';
import { degreesIn, expect, open, test, type } from './support/bench.ts';
import { A, be, done, foundTdc, say, workshop } from './support/workshop.ts';
import { head, strokeSigns, topFound, type as typeAtWork } from './support/working.ts';

const gauges: [string, string, number, number][] = [['wheel-fine', 'wheel', 0.1, 0.05]];

const strokeFound = [...foundTdc, ...done('tdc', 'mark', 'probe-out'), ...strokeSigns, ...done('stroke')];

test('where the crank stands follows the plan that was shown, asks when it cannot, and is put right at once', async ({
  page,
  context
}) => {
  await be(context, 'ida', A);
  const { jobId } = await workshop(['ida']);
  await say(context.request, A, jobId, ...strokeFound);
  await open(page, `${A}/jobs/${jobId}`);
  const here = page.getByRole('group', { name: 'Crank' });
  const asked = page.getByTestId('turns-asked');
  await test.step('an overshoot of the plan is where it was read, on the stroke the plan led to', async () => {
    await type(page, '340.5');
    await expect(here).toContainText('read on the rise that the signs spoke of');
    await type(page, '356');
    await expect(here).toContainText('read at the end of the turn that was asked for');
    await expect(here).toContainText(/before firing TDC/);
    await expect(asked).toHaveCount(0);
  });
  await test.step('a figure that lies near no leg of it is not guessed', async () => {
    await type(page, '160');
    await expect(asked.first()).toContainText('How was the crank turned before it was read?');
    await expect(asked.first().getByRole('button')).toHaveCount(4);
    await asked
      .first()
      .getByRole('button', { name: /once round and on/ })
      .click();
    await expect(asked).toHaveCount(0);
    await expect(here).toContainText('as was said of the last turn');
  });
  await test.step('what is believed is contradicted where it stands, and undone like anything else', async () => {
    const believed = await here.locator('b').textContent();
    await here.getByRole('button', { name: 'Not so' }).click();
    await asked
      .first()
      .getByRole('button', { name: /less than once round/ })
      .first()
      .click();
    await expect(here.locator('b')).not.toHaveText(believed!);
    await page.keyboard.press('u');
    await expect(here.locator('b')).toHaveText(believed!);
  });
  await test.step('nobody can say: the stroke is not proved any more, and it is said', async () => {
    await here.getByRole('button', { name: 'Not so' }).click();
    await asked.first().getByRole('button', { name: 'Nobody can say' }).click();
    await expect(here).toContainText('stroke not proved');
  });
  await test.step('the dial turned by hand moves what is believed, and the line says so', async () => {
    await page.keyboard.press('u');
    await page.getByRole('slider').first().focus();
    for (let k = 0; k < 5; k++) await page.keyboard.press('ArrowRight');
    await expect(here).toContainText('as turned on the dial');
  });
});

test('across the bay the arrow goes over the top, its head on the side it turns to', async ({ page, context }) => {
  await be(context, 'ida', A);
  const { jobId } = await workshop(['ida']);
  await say(context.request, A, jobId, ...strokeFound);
  await open(page, `${A}/bay/${jobId.slice(0, 6)}`);
  const arrow = page.locator('svg[data-turn=cw]');
  await expect(arrow).toBeVisible();
  const figure = (await degreesIn(page.getByRole('main')).boundingBox())!;
  const box = (await arrow.boundingBox())!;
  expect(box.height).toBeGreaterThan(figure.height * 0.6);
});

test('what was read before the flange was turned counts no more, and stays in sight', async ({ page, context }) => {
  test.setTimeout(90_000);
  await be(context, 'mara', A);
  const { jobId } = await workshop(['mara'], Object.keys(SAW), { sheet: 'magneto', values: SAW, gauges });
  await say(
    context.request,
    A,
    jobId,
    ...done('intake', 'safe', 'ground', 'plugs', 'bar'),
    { kind: 'fact', fact: 'springShaft', value: true },
    ...done('shaft', 'wheel'),
    ...topFound('dial', 'wheel-fine'),
    ...done('tdc', 'mark', 'probe-out'),
    ...strokeSigns,
    ...done('stroke', 'ref', 'marks')
  );
  await say(context.request, A, jobId, {
    kind: 'reading',
    step: 'coupling',
    slot: 'drive-stands',
    quantity: 'bearing',
    text: '94',
    defaultUnit: 'deg',
    gaugeId: null
  });
  await say(context.request, A, jobId, ...done('coupling', 'set', 'offer'));
  await open(page, `${A}/jobs/${jobId}`);
  for (const t of ['11', '10.8', '11.2']) await typeAtWork(page, `${t} a`);
  const first = await head(page).textContent();
  const asked = page.getByTestId('setting-asked');
  await test.step('a figure that lies apart is not averaged in: it is asked', async () => {
    await typeAtWork(page, '5.8 a');
    await expect(asked).toContainText('lies apart from what was read before. Was the flange turned in between?');
    await asked.getByRole('button', { name: 'It was turned' }).click();
    await expect(asked).toHaveCount(0);
    // the mark reads 2° early here
    await expect(head(page)).toContainText('7.8°');
    await expect(page.getByRole('main')).toContainText('setting 1, turned since: not counted');
  });
  await test.step('said again, the next figure begins a setting without being asked', async () => {
    await page.getByRole('button', { name: /^The flange was turned/ }).click();
    await typeAtWork(page, '3 a');
    await expect(asked).toHaveCount(0);
    await expect(head(page)).toContainText('5.0°');
    expect(await head(page).textContent()).not.toBe(first);
  });
});
