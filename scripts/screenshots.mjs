import { chromium } from '@playwright/test';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { CHROMIUM, ensureChromium } from './lib/debian.mjs';
import { root } from './lib/paths.mjs';
import { running } from './lib/serve.mjs';
import { Stop, say, sentence } from './lib/stop.mjs';

/** One picture of each main view from the demo data: npm run screenshots, with ./nemrik demo running. */
const out = join(root, 'docs/screenshots');

async function all() {
  const server = running();
  if (server?.mode !== 'demo')
    throw new Stop('The pictures are made from the running demo: ./nemrik demo --fresh --background first.');
  ensureChromium();
  mkdirSync(out, { recursive: true });
  const url = `http://127.0.0.1:${server.port}`;
  const browser = await chromium.launch(CHROMIUM);
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const prefs = (p) =>
    context.addCookies([
      {
        name: 'nemrik-prefs',
        value: encodeURIComponent(JSON.stringify({ theme: 'light', length: 'mm', view: 'front', ...p })),
        url
      }
    ]);
  await context.addCookies([{ name: 'nemrik-person', value: 'ines-farrow', url }]);
  await prefs({});
  const page = await context.newPage();
  const open = async (path) => {
    await page.goto(url + path);
    await page.waitForSelector('html[data-hydrated]');
  };
  const shot = async (name) => {
    await page.waitForTimeout(200);
    await page.screenshot({ path: join(out, `${name}.png`) });
    say(name);
  };
  const step = async (title) => {
    for (let k = 0; k < 60; k++) await page.keyboard.press('k');
    for (let k = 0; k < 60 && !(await page.locator('#step-in-hand').textContent()).includes(title); k++)
      await page.keyboard.press('j');
  };
  /** what a figure's ± is made of, opened and brought into sight with the figure above it */
  const budget = async () => {
    const of = page.locator('details', { hasText: 'What the ± is made of' }).first();
    await of.waitFor();
    if (!(await of.evaluate((d) => d.open))) await of.locator('summary').click();
    await of.scrollIntoViewIfNeeded();
  };
  /** the jobs of an engine whose title begins so, newest first */
  const jobsOf = async (engine, title) => {
    await open(`/engines/${engine}`);
    const links = page.locator('aside li > a', { hasText: title });
    return links.evaluateAll((all) => all.map((a) => a.getAttribute('href')));
  };
  await open('/');
  await shot('floor');
  const fits = await jobsOf('lock-4-pump', 'Fit a distributor');
  await page.waitForSelector('.chart[data-ready=true]');
  await shot('engine');
  await open(fits[0]);
  await budget();
  await shot('job-tdc');
  await prefs({ theme: 'dim' });
  await open(fits[0]);
  await shot('job-dim');
  await prefs({});
  await open(fits[1]);
  await step('Compression stroke');
  await shot('job-strokes');
  await step('Initial timing by strobe');
  await budget();
  await shot('job-timing');
  await open(`${(await jobsOf('ropeway-winch', 'Recurve'))[0]}/card`);
  await page.locator('figure').evaluate((f) => f.scrollIntoView({ block: 'center' }));
  await shot('card');
  await prefs({ view: 'rear' });
  await open((await jobsOf('ropeway-winch', 'Fit a distributor'))[0]);
  await shot('job-plan');
  await prefs({});
  await page.reload();
  await page.waitForSelector('html[data-hydrated]');
  // a figure that lies near no leg of the plan: how the crank was turned is asked, and the demo is left as it was
  await page.locator('#main').focus();
  await page.keyboard.type('160');
  await page.keyboard.press('Enter');
  await page.getByTestId('turns-asked').first().waitFor();
  await shot('job-asked');
  await page.keyboard.press('u');
  await page.getByTestId('turns-asked').first().waitFor({ state: 'detached' });
  await open((await jobsOf('generator-shed', 'Time an inline pump'))[0]);
  await step('Lift as it was found');
  await shot('job-lift');
  await open((await jobsOf('generator-shed', 'Fit a locked pump'))[0]);
  await shot('job-ledger');
  await open((await jobsOf('fire-pump', 'Mark and time'))[0]);
  await shot('job-marks');
  const drives = await jobsOf('lock-4-pump', 'Fit the drive');
  await open(drives[0]);
  await step('Gap measured all round');
  await budget();
  await shot('job-stack');
  await open((await jobsOf('ropeway-winch', 'Fit a different'))[0]);
  await shot('job-tooth');
  await open((await jobsOf('ropeway-winch', 'Check a distributor before'))[0]);
  await step('Cap, rotor and leads');
  await shot('job-findings');
  await open('/curves/ropeway-winch');
  await page.waitForSelector('[data-testid=matches] li');
  await page.waitForTimeout(400);
  await shot('curves');
  await open((await jobsOf('ropeway-winch', 'Check a distributor on the bench'))[0]);
  await shot('job-lobes');
  await open('/scales?kind=tape&diameter=164&from=-10&to=40&step=2');
  await shot('scales');
  await open('/tray');
  await shot('tray');
  await browser.close();
}

try {
  await all();
} catch (e) {
  process.stderr.write(`${sentence(e)}\n`);
  process.exitCode = 1;
}
