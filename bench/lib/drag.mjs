import { chromium } from '@playwright/test';
import { ensureChromium } from '../../scripts/lib/debian.mjs';

const args = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync'
];

/** Main-thread time a frame while the two-lap dial is dragged once round, in milliseconds. */
export async function dragCost(url, path, person) {
  ensureChromium();
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args });
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  await context.addCookies([{ name: 'nemrik-person', value: person, url }]);
  const page = await context.newPage();
  await page.goto(url + path);
  await page.waitForSelector('html[data-hydrated]');
  const box = await page.getByRole('slider').boundingBox();
  const cdp = await context.newCDPSession(page);
  await cdp.send('Performance.enable');
  const at = (deg) => {
    const r = box.width * 0.36;
    return [
      box.x + box.width / 2 + r * Math.sin((deg * Math.PI) / 180),
      box.y + box.height * 0.52 - r * Math.cos((deg * Math.PI) / 180)
    ];
  };
  const metrics = async () =>
    Object.fromEntries((await cdp.send('Performance.getMetrics')).metrics.map((m) => [m.name, m.value * 1000]));
  await page.evaluate(() => {
    window.__frames = [];
    const count = (t) => (window.__frames.push(t), requestAnimationFrame(count));
    requestAnimationFrame(count);
    window.__long = [];
    new PerformanceObserver((l) => window.__long.push(...l.getEntries().map((e) => e.duration))).observe({
      type: 'longtask'
    });
  });
  await page.mouse.move(...at(20));
  // the same moves with nothing held: what moving a pointer over the page costs by itself
  const idle = await metrics();
  for (let deg = 20; deg <= 380; deg += 2) await page.mouse.move(...at(deg));
  const idlePerMove = ((await metrics()).TaskDuration - idle.TaskDuration) / 181;
  await page.mouse.move(...at(20));
  await page.mouse.down();
  const before = await metrics();
  const frames = await page.evaluate(() => window.__frames.length);
  for (let deg = 20; deg <= 380; deg += 2) await page.mouse.move(...at(deg));
  const after = await metrics();
  const spent = after.TaskDuration - before.TaskDuration;
  const parts = Object.fromEntries(
    ['ScriptDuration', 'LayoutDuration', 'RecalcStyleDuration'].map((k) => [k, (after[k] - before[k]) / 181])
  );
  const drawn = (await page.evaluate(() => window.__frames.length)) - frames;
  const long = await page.evaluate(() => window.__long);
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await browser.close();
  return {
    perFrame: spent / drawn,
    frames: drawn,
    moves: 181,
    perMove: spent / 181,
    parts,
    idlePerMove,
    longest: Math.max(0, ...long)
  };
}
