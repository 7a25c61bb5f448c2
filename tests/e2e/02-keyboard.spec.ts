import {
  pressDone,
  expect,
  open,
  test,
  stepInHand,
  holding,
  lineOf,
  readings,
  degreesIn,
  jobRows
} from './support/bench.ts';
import { A, be, workshop } from './support/workshop.ts';

/** No mouse: the job from opening to the strobe's verdict, by keys alone. */
test('the whole job by the keyboard alone', async ({ page, context }) => {
  test.setTimeout(150_000);
  const { engineId } = await workshop(['ida']);
  await be(context, 'ida', A);
  await open(page, '/');
  const phase = stepInHand(page);
  const press = (key: string) => page.keyboard.press(key);
  const read = async (text: string) => {
    await page.keyboard.type(text, { delay: 4 });
    await press('Enter');
    await expect(lineOf(page)).toHaveValue('');
    await press('Escape');
  };
  const doneWith = async (title: string) => {
    await expect(phase).toHaveAccessibleName(holding(title));
    await pressDone(page);
    await expect(phase).not.toHaveAccessibleName(holding(`· ${title}`));
  };
  /** Tab until the focus is on something with this name. */
  const tabTo = async (name: RegExp) => {
    for (let k = 0; k < 120; k++) {
      const label = await page.evaluate(() => {
        const e = document.activeElement?.matches('button, a, input, select, summary')
          ? (document.activeElement as HTMLElement)
          : null;
        const group = e?.closest('[role=group]')?.getAttribute('aria-labelledby');
        return `${group ? document.getElementById(group)?.textContent : ''} ${e?.getAttribute('aria-label') ?? ''} ${e?.textContent ?? ''}`;
      });
      if (name.test(label)) return;
      await press('Tab');
    }
    throw new Error(`Tab never reached ${name}`);
  };

  await press('/');
  await page.keyboard.type(engineId);
  await expect(jobRows(page)).toHaveCount(1);
  await press('Escape');
  await press('j');
  await expect(page.locator('a:focus')).toBeVisible();
  await press('/');
  await page.keyboard.type(engineId);
  await press('Enter');
  await page.waitForURL(/jobs/);
  await expect(phase).toHaveAccessibleName(holding('Data sheet confirmed'));
  await page.waitForSelector('html[data-hydrated]');
  for (const t of [
    'Data sheet confirmed',
    'Start isolated',
    'Distributor ready',
    'Plugs out',
    'Barring tool on',
    'Degree wheel'
  ])
    await doneWith(t);
  for (const t of ['1.8', '342.5', '11.5', '343.5', '12.0', '343.0', '11.6']) await read(t);

  await test.step('A amends the last reading with a reason', async () => {
    await press('a');
    await expect(lineOf(page)).toHaveValue('11.6');
    await page.keyboard.type('11.5');
    await press('Enter');
    await page.keyboard.type('misread');
    await press('Enter');
    await press('Escape');
    await expect(page.getByTestId('result')).toContainText('357.33°');
    await expect(readings(page).locator('s')).toHaveText('11.6');
  });

  for (const t of ['True TDC', 'Probe out', 'Mark judged']) await doneWith(t);
  await tabTo(/Air is pushed out.*\syes/);
  await press('Space');
  await tabTo(/Both its rockers are slack\s+yes/);
  await press('Space');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('The coming rise is compression');
  await doneWith('Compression stroke');

  await test.step('the dial turns by arrow keys and the plan follows', async () => {
    const figure = degreesIn(page.getByTestId('plan'));
    await expect(figure).toHaveText('338.8°');
    await page.getByRole('slider').focus();
    await press('Shift+ArrowRight');
    await expect(figure).toHaveText('328.8°');
    await press('Enter');
    await expect(page.getByRole('group', { name: 'Crank' })).toContainText('as turned on the dial');
    await press('u');
    await expect(figure).toHaveText('338.8°');
  });

  await page.locator('#main').focus();
  await read('350.5');
  await doneWith('Crank to the reference');
  await read('5:40');
  for (const t of [
    'Number-one tower',
    'Clamp bolt',
    'Seal on',
    'Oil-pump shaft',
    'Oil primed',
    'Oil-pump slot',
    'Rotor led'
  ])
    await doneWith(t);
  await tabTo(/No pin/);
  await press('Enter');
  await tabTo(/It went right down/);
  await press('Enter');

  await test.step('S skips with a reason, U takes it back', async () => {
    await expect(phase).toHaveAccessibleName(holding('Seated on its face'));
    await press('s');
    await page.keyboard.type('measured on the bench');
    await press('Enter');
    await expect(phase).not.toHaveAccessibleName(holding('Seated on its face'));
    await press('Escape');
    await press('u');
    await expect(phase).toHaveAccessibleName(holding('Seated on its face'));
  });

  for (const t of [
    'Seated',
    'Tooth judged',
    'Housing to the firing point',
    'Power off again',
    'Rotor phase',
    'Room both ways',
    'Bias for the first start',
    'Clamp snug'
  ])
    await doneWith(t);
  for (const t of ['Cap on', 'Leads in firing order', 'Two turns']) await doneWith(t);
  await page.getByRole('button', { name: 'Run in already' }).click();
  for (const t of ['Strobe connected', 'Wheel and bar off', 'Nothing left', 'First start']) await doneWith(t);
  await read('12.5b');
  await expect(page.getByTestId('housing')).toContainText('1.01 mm at the rim');
  await read('9.5b');
  await expect(page.getByRole('group', { name: 'Result' }).getByText('in', { exact: true })).toBeVisible();
  await doneWith('Initial timing by strobe');
});

test('? shows the keys of the view, and keys never fire while typing', async ({ page, context }) => {
  const { jobId } = await workshop(['ida']);
  await be(context, 'ida', A);
  await open(page, `/jobs/${jobId}`);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('amend the last reading');
  await page.keyboard.press('Escape');
  await lineOf(page).focus();
  await page.keyboard.type('d');
  await expect(stepInHand(page)).toHaveAccessibleName(holding('Data sheet confirmed'));
  await page.keyboard.press('Escape');
  await page.keyboard.press('g');
  await page.keyboard.press('f');
  await expect(page).toHaveURL(`${A}/`);
});
