import { readFileSync } from 'node:fs';
import {
  alive,
  done,
  expect,
  number,
  open,
  test,
  type,
  workAs,
  stepInHand,
  holding,
  readings,
  readingsTable,
  degreesIn
} from './support/bench.ts';

const scenario = JSON.parse(readFileSync('tests/scenarios/from-scratch.json', 'utf8'));
const answer = (part: string) => scenario.journey.find((j: { step: string }) => j.step.startsWith(part));

/**
 * The whole job from an empty database, through the interface alone, against figures worked out independently.
 * The scenario's engine and gauges are entered as a user would.
 */
test('a distributor fitted from scratch, from an empty workshop to the printed card', async ({ page }) => {
  test.setTimeout(180_000);
  await open(page, '/');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Nothing is on the floor');
  await workAs(page, 'Ottilie Crane');

  await test.step('the gauges go into the tray', async () => {
    // who works here was just said, and the page that is still being made anew may swallow the first press
    await expect(async () => {
      await page.getByRole('link', { name: 'Tray' }).click();
      await expect(page).toHaveURL(/\/tray$/, { timeout: 1500 });
    }).toPass();
    await alive(page);
    for (const [name, kind, resolution, accuracy] of [
      ['Wheel', 'wheel', scenario.gauges.wheel.resolution, scenario.gauges.wheel.accuracy],
      ['Dial', 'dial', scenario.gauges.dial.resolution, scenario.gauges.dial.accuracy],
      ['Strobe', 'strobe', 0, scenario.gauges.strobe.halfWidthDeg]
    ] as const) {
      await page.getByLabel('Kind').selectOption(kind);
      await page.getByLabel('Name', { exact: true }).fill(String(name));
      await page.getByLabel('Smallest step it shows').fill(String(resolution));
      await page.getByLabel('Accuracy ±, as stated').fill(String(accuracy));
      // this workshop has measured how much its hands scatter
      await page
        .getByLabel('Scatter of one reading')
        .fill(kind === 'dial' ? '0.003' : kind === 'wheel' ? '0.3' : '0.1');
      await page.getByLabel('Found from so many repeats').fill('21');
      await page.getByRole('button', { name: 'Add to the tray' }).click();
      await expect(page.getByRole('cell', { name: String(name), exact: true })).toBeVisible();
    }
  });

  await test.step('the engine is entered; a firing order that cannot be is refused and nothing is lost', async () => {
    await page.getByRole('link', { name: 'Engines' }).click();
    await page.getByRole('link', { name: 'New engine N' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Enter an engine');
    const e = scenario.engine;
    await page.getByLabel('Name', { exact: true }).fill('Pump at the lock');
    await page.getByLabel('In a few words').fill('four-cylinder petrol');
    await page.getByLabel('Source of the values').fill(e.static.source);
    const fill = (label: string, value: string | number) => page.getByLabel(label, { exact: true }).fill(String(value));
    await page.getByLabel('Cycle').selectOption('four-stroke');
    await fill('Cylinders', e.cylinders);
    await fill('Firing order', '1-2-4-2');
    await page.getByLabel('Crank runs, seen from the front').selectOption(e.runningDirection);
    await fill('Stroke', e.strokeMm);
    await fill('Connecting rod, between centres', e.rodMm);
    await fill('Slack of the timing drive, at the crank', e.backlashDeg);
    await page.getByLabel('Rotor runs, seen from above').selectOption(e.rotorDirection);
    await fill('Distributor turns for one of the crank', e.ratio);
    await fill('Housing rim, diameter', e.rimDiameterMm);
    await page.getByLabel('Vacuum advance', { exact: true }).selectOption('none');
    await fill('Initial timing', e.static.btdc);
    await fill('Initial timing, least', e.static.minBtdc);
    await fill('Initial timing, most', e.static.maxBtdc);
    await page.getByRole('button', { name: 'Enter the engine' }).click();
    await expect(page.getByRole('alert')).toContainText('2 stands 2 times');
    await expect(page.getByLabel('Stroke', { exact: true })).toHaveValue(String(e.strokeMm));
    await fill('Firing order', e.firingOrder.join('-'));
    await page.getByRole('button', { name: 'Enter the engine' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('no job yet');
  });

  await page.getByRole('link', { name: 'New job on this engine' }).click();
  // nobody said yet what times its firing: all that needs to know says so
  const scratch = page.getByRole('radio', { name: /Fit a distributor, engine from scratch/ });
  await expect(page.getByText('the data sheet does not say: what times the firing').first()).toBeVisible();
  await scratch.check();
  await page.getByRole('button', { name: 'Open the job' }).click();
  await expect(stepInHand(page)).toHaveAccessibleName(holding('Data sheet confirmed'));
  await alive(page);
  for (const s of [
    'Data sheet confirmed',
    'Start isolated',
    'Distributor ready',
    'Plugs out',
    'Barring tool on',
    'Degree wheel'
  ])
    await done(page, s);

  await test.step('how flat the top is, and the depth to read at', async () => {
    const { out } = answer('how flat the top is').expect;
    const way = await page.getByRole('note', { name: 'How to read it' }).textContent();
    expect(way).toContain(`${out.dwellDeg.toFixed(1)}° about the top`);
    expect(way).toContain(`${out.recommended.dropMm.toFixed(2)} mm down (${out.recommended.angleDeg}° before)`);
    expect(way).toContain(`± ${(2 * out.recommended.uDeg).toFixed(2)}°`);
  });

  await test.step('three pairs at 1.8 mm down', async () => {
    const { typed, expect: want } = answer('pairs of wheel readings');
    await type(page, '1.8');
    for (const [before, after] of typed) {
      await type(page, before);
      await type(page, after);
    }
    const result = page.getByTestId('result');
    await expect(result).toContainText(`${want.out.tdcWheelDeg.toFixed(2)}°`);
    // worked apart: the middles' scatter pooled with 0.1°/√2, steps, and the fixed errors of wheel and dial
    await expect(result).toContainText('± 0.36°');
    const middles = await readingsTable(page).locator('tbody tr td:nth-child(4)').allTextContents();
    expect(middles.map(number)).toEqual(want.out.perPair.map((p: { tdcWheelDeg: number }) => p.tdcWheelDeg));
    await expect(readings(page)).toContainText(`Spread of the pairs ${want.out.spreadDeg.toFixed(2)}°`);
    await done(page, 'True TDC');
  });

  await test.step('the mark’s error', async () => {
    const { out } = answer('the mark').expect;
    await done(page, 'Probe out');
    await expect(page.getByTestId('result')).toContainText(`${out.errorDeg.toFixed(2)}° early`);
    await done(page, 'Mark judged');
  });

  await test.step('the signs tell the stroke', async () => {
    await page
      .getByRole('group', { name: /Air is pushed out/ })
      .getByRole('button', { name: 'yes' })
      .click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Too close to call');
    await page
      .getByRole('group', { name: /inlet valve opened/ })
      .getByRole('button', { name: 'yes' })
      .click();
    await expect(page.getByTestId('result')).toContainText('99.4 %');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('The coming rise is compression');
    await done(page, 'Compression stroke');
  });

  await test.step('the crank is told which way and how far, from either end and in either school', async () => {
    const back = answer('the crank stands').expect.out;
    const plan = page.getByTestId('plan');
    await expect(page.getByRole('group', { name: 'Crank' }).locator('b')).toHaveText(
      `${(back.steps[0].fromDeg - 360).toFixed(1)}° after overlap TDC`
    );
    await expect(degreesIn(plan)).toHaveText(`${back.steps[0].degrees.toFixed(1)}°`);
    await expect(plan).toContainText('Turn clockwise (seen from the front)');
    await expect(plan).toContainText('to 7° before firing TDC');
    await page.getByText('If the mark is passed').click();
    await page.getByRole('button', { name: /forward only/ }).click();
    await page.getByLabel('seen from the rear').check();
    const rear = answer('the same in the forward-only').expect.out;
    await expect(plan).toContainText('Turn anticlockwise (seen from the rear)');
    await expect(degreesIn(plan)).toHaveText(`${rear.totalDeg.toFixed(1)}°`);
    await page.getByLabel('seen from the front').check();
    await type(page, '350.33');
    await done(page, 'Crank to the reference');
  });

  await test.step('every cylinder at 7 before', async () => {
    const { out } = answer('every cylinder').expect;
    await page.keyboard.press('k');
    await expect(stepInHand(page)).toHaveAccessibleName(holding('Crank to the reference'));
    const rows = page.getByRole('table', { name: /Every cylinder/ }).locator('tbody tr');
    await expect(rows).toHaveCount(4);
    for (const [k, c] of out.cylinders.entries()) {
      await expect(rows.nth(k)).toContainText(c.stroke);
      // by the nearer of its two TDCs
      const firing = c.phaseDeg <= 180 || c.phaseDeg >= 540;
      const apart = firing ? Math.min(c.phaseDeg, 720 - c.phaseDeg) : Math.abs(360 - c.phaseDeg);
      await expect(rows.nth(k)).toContainText(`${apart.toFixed(1)}°`);
      await expect(rows.nth(k)).toContainText(firing ? 'firing TDC' : 'overlap TDC');
      await expect(rows.nth(k)).toContainText(
        c.overlap ? 'rocking' : c.intake ? 'inlet open' : c.exhaust ? 'exhaust open' : 'both closed'
      );
    }
    await expect(page.getByRole('main')).toContainText(
      `cylinder ${out.next.cylinder} in ${out.next.inDeg.toFixed(1)}°`
    );
    await expect(page.getByRole('main')).toContainText(`Companion of number one: ${out.companion}`);
    await page.keyboard.press('j');
  });

  await test.step('the distributor goes in', async () => {
    await type(page, '5:40');
    await expect(page.getByRole('main').locator('svg')).toContainText('number one at 5:40 (170°)');
    for (const s of [
      'Number-one tower',
      'Clamp bolt started',
      'Seal on',
      'Oil-pump shaft',
      'Oil primed',
      'Oil-pump slot'
    ])
      await done(page, s);
    await expect(
      page.getByRole('complementary', { name: 'Where the engine is' }).getByText('Distributor out: no starter')
    ).toBeVisible();
    await done(page, 'Rotor led');
    await expect(
      page.getByRole('complementary', { name: 'Where the engine is' }).getByText('Distributor out')
    ).toHaveCount(0);
    await page.getByRole('button', { name: 'No pin' }).click();
    await page.getByRole('button', { name: 'It went right down' }).click();
    for (const s of [
      'Seated on its face',
      'Tooth judged',
      'Housing to the firing point',
      'Power off again',
      'Rotor phase',
      'Room both ways',
      'Bias for the first start',
      'Clamp snug'
    ])
      await done(page, s);
    for (const s of ['Cap on', 'Leads in firing order', 'Two turns']) await done(page, s);
    await page.getByRole('button', { name: 'Run in already' }).click();
    for (const s of ['Strobe connected', 'Wheel and bar off', 'Nothing left', 'First start']) await done(page, s);
  });

  await test.step('the strobe, corrected for the mark, gives the turn of the housing and closes it', async () => {
    const first = answer('first strobe');
    await type(page, first.typed[0]);
    const result = page.getByTestId('result');
    await expect(result).toContainText(`${first.expect.corrected.toFixed(2)}° before`);
    await expect(result).toContainText('out');
    const turn = page.getByTestId('housing');
    await expect(turn).toContainText('anticlockwise (from above)');
    await expect(turn).toContainText(`${first.expect.out.housingDeg.toFixed(2)}°`);
    await expect(turn).toContainText(`${first.expect.out.rimMm.toFixed(2)} mm at the rim`);
    const second = answer('second strobe');
    await type(page, second.typed[0]);
    await expect(result).toContainText(`${second.expect.corrected.toFixed(2)}° before`);
    await expect(result).toContainText('± 0.77°');
    await expect(result.getByText('in', { exact: true })).toBeVisible();
    await done(page, 'Initial timing by strobe');
  });

  await test.step('the card says it all on one page', async () => {
    await done(page, 'Clamp at torque');
    await page.getByRole('link', { name: 'Job card' }).click();
    const card = page.getByRole('main');
    await expect(card).toContainText('6.83° ± 0.77° before');
    await expect(card).toContainText('2.67° early');
    await expect(card).toContainText('works card 14');
    await expect(card.getByRole('row', { name: /wheel, before the top/ })).toHaveCount(3);
    const pdf = await page.request.get(page.url().replace(/card$/, 'card.pdf'));
    expect(pdf.headers()['content-type']).toBe('application/pdf');
    const bytes = (await pdf.body()).toString('latin1');
    expect(bytes.startsWith('%PDF-')).toBe(true);
    expect(bytes.match(/\/Type \/Page\b/g)).toHaveLength(1);
  });
});
