import { chromium } from '@playwright/test';
import { CHROMIUM, ensureChromium } from '../../scripts/lib/debian.mjs';

/** Once round the middle of the dial, two degrees a move. */
export const round = (box) =>
  Array.from({ length: 181 }, (_, k) => {
    const turn = ((20 + 2 * k) * Math.PI) / 180;
    const r = box.width * 0.36;
    return [box.x + box.width / 2 + r * Math.sin(turn), box.y + box.height * 0.52 - r * Math.cos(turn)];
  });

/** To and fro from the middle of a handle, by so many pixels each way. */
export const toAndFro = (dx, dy) => (box) =>
  Array.from({ length: 121 }, (_, k) => {
    const s = Math.sin((k * Math.PI) / 30);
    return [box.x + box.width / 2 + s * dx, box.y + box.height / 2 + s * dy];
  });

/**
 * Main-thread time while something is dragged on a page, in milliseconds: a move, a frame, and the longest task; what the
 * same moves cost with nothing held is taken off. `what` finds it on the page, `way` says along which points of its box it goes.
 */
export async function dragCost(url, path, person, what, way) {
  ensureChromium();
  const browser = await chromium.launch(CHROMIUM);
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  await context.addCookies([{ name: 'nemrik-person', value: person, url }]);
  const page = await context.newPage();
  await page.goto(url + path);
  await page.waitForSelector('html[data-hydrated]');
  const thing = await what(page);
  await thing.scrollIntoViewIfNeeded();
  const points = way(await thing.boundingBox());
  const cdp = await context.newCDPSession(page);
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
  await page.waitForTimeout(2500);
  await page.evaluate(() => void (window.__long.length = 0));
  /** Once along the way, by the clock or by the processor time of the main thread alone. */
  async function once(timeDomain) {
    await cdp.send('Performance.enable', { timeDomain });
    await page.mouse.move(...points[0]);
    // the same moves with nothing held: what moving a pointer over the page costs by itself
    const idle = await metrics();
    for (const p of points) await page.mouse.move(...p);
    const idlePerMove = ((await metrics()).TaskDuration - idle.TaskDuration) / points.length;
    await page.mouse.move(...points[0]);
    await page.mouse.down();
    const before = await metrics();
    const frames = await page.evaluate(() => window.__frames.length);
    for (const p of points) await page.mouse.move(...p);
    const after = await metrics();
    const drawn = (await page.evaluate(() => window.__frames.length)) - frames;
    await page.keyboard.press('Escape');
    await page.mouse.up();
    await cdp.send('Performance.disable');
    const parts = ['ScriptDuration', 'LayoutDuration', 'RecalcStyleDuration'].map((k) => after[k] - before[k]);
    const spent = after.TaskDuration - before.TaskDuration;
    return {
      perFrame: spent / drawn,
      frames: drawn,
      perMove: spent / points.length - idlePerMove,
      own: parts.reduce((a, b) => a + b) / points.length
    };
  }
  const clock = await once('timeTicks');
  const processor = (await once('threadTicks')).perMove;
  const long = await page.evaluate(() => window.__long);
  await browser.close();
  return { ...clock, processor, moves: points.length, longest: Math.max(0, ...long) };
}
