import { chromium } from '@playwright/test';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { ensureChromium } from './lib/debian.mjs';
import { root } from './lib/paths.mjs';
import { running } from './lib/serve.mjs';
import { Stop, say, sentence } from './lib/stop.mjs';

/** One picture of each main view from the demo data: npm run screenshots, with ./nemrik demo running. */
const out = join(root, 'docs/screenshots');
const args = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync'
];

async function all() {
  const server = running();
  if (server?.mode !== 'demo')
    throw new Stop('The pictures are made from the running demo: ./nemrik demo --fresh --background first.');
  ensureChromium();
  mkdirSync(out, { recursive: true });
  const url = `http://127.0.0.1:${server.port}`;
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args });
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
    for (let k = 0; k < 60 && !(await page.locator('.phase').textContent()).includes(title); k++)
      await page.keyboard.press('j');
  };
  const jobsOf = async (engine) => {
    await open(`/engines/${engine}`);
    return page.locator('aside li > a').evaluateAll((links) => links.map((a) => a.getAttribute('href')));
  };
  await open('/');
  await shot('floor');
  const lock4 = await jobsOf('lock-4-pump');
  await page.waitForSelector('.chart[data-ready=true]');
  await shot('engine');
  await open(lock4[0]);
  await shot('job-tdc');
  await prefs({ theme: 'dim' });
  await open(lock4[0]);
  await shot('job-dim');
  await prefs({});
  await open(lock4[1]);
  await step('Compression stroke');
  await shot('job-strokes');
  await step('Number-one tower');
  await shot('job-cap');
  await step('Initial timing by strobe');
  await shot('job-timing');
  await open(`${lock4[1]}/card`);
  await shot('card');
  const winch = await jobsOf('ropeway-winch');
  await prefs({ view: 'rear' });
  await open(winch[0]);
  await shot('job-plan');
  await dials(page);
  await prefs({});
  await open(lock4[0]);
  await page.getByText('How true TDC is found').click();
  await shot('job-methods');
  await open((await jobsOf('dredger-otter'))[0]);
  await page.waitForSelector('.chart[data-ready=true]');
  await shot('job-fit');
  await open('/scales?kind=tape&diameter=164&from=-10&to=40&step=2');
  await shot('scales');
  await open('/tray');
  await shot('tray');
  await browser.close();
}

/** The two-lap dial at its two TDCs, turned by hand and let go of without being logged. */
async function dials(page) {
  const dial = page.getByRole('slider');
  const turnTo = async (deg) => {
    await dial.focus();
    const left = async () => (deg - Number(await dial.getAttribute('aria-valuenow')) + 720) % 720;
    while ((await left()) >= 10) await page.keyboard.press('Shift+ArrowRight');
    for (let k = Math.round(await left()); k > 0; k--) await page.keyboard.press('ArrowRight');
  };
  for (const [name, deg] of [
    ['dial-firing', 0],
    ['dial-overlap', 360]
  ]) {
    await turnTo(deg);
    await page.locator('.state').screenshot({ path: join(out, `${name}.png`) });
    say(name);
  }
  await dial.press('Escape');
}

try {
  await all();
} catch (e) {
  process.stderr.write(`${sentence(e)}\n`);
  process.exitCode = 1;
}
