import { chromium } from '@playwright/test';
import { CHROMIUM, ensureChromium } from '../../scripts/lib/debian.mjs';
import { median } from './servers.mjs';
import { longest, tasksDuring } from './tasks.mjs';

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
 * Main-thread time while something is dragged on a page, in milliseconds. A move and a frame are the middle of three rounds,
 * what the same moves cost with nothing held taken off a move. The longest task is given for each of five pages opened anew,
 * the longest last: one of ours comes on every page, a stall of the machine on some. `what` finds the thing on the page, `way`
 * says along which points of its box it goes.
 */
export async function dragCost(url, path, person, what, way) {
  ensureChromium();
  const browser = await chromium.launch(CHROMIUM);
  try {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    await context.addCookies([{ name: 'nemrik-person', value: person, url }]);
    const page = await context.newPage();
    /** The page opened, and along which points of it the thing goes. */
    async function open() {
      await page.goto(url + path);
      await page.waitForSelector('html[data-hydrated]');
      const thing = await what(page);
      await thing.scrollIntoViewIfNeeded();
      // what is fetched while a page is idle is here by then
      await page.waitForTimeout(2500);
      return way(await thing.boundingBox());
    }
    const each = [];
    for (let opened = 0; opened < 5; opened++) {
      const points = await open();
      each.push(longest(await tasksDuring(browser, page, () => drag(page, points))));
    }
    const rounds = await costOfMoves(context, page, await open());
    return { ...rounds, longest: each.map((t) => t.clock).toSorted((a, b) => a - b) };
  } finally {
    await browser.close();
  }
}

/** Along all points and back to where it was; `measured` is what stands around the moves. */
async function drag(page, points, measured = (moves) => moves()) {
  await page.mouse.move(...points[0]);
  await page.mouse.down();
  const seen = await measured(() => moves(page, points));
  await page.keyboard.press('Escape');
  await page.mouse.up();
  return seen;
}
async function moves(page, points) {
  for (const p of points) await page.mouse.move(...p);
}

async function costOfMoves(context, page, points) {
  const cdp = await context.newCDPSession(page);
  const metrics = async () =>
    Object.fromEntries((await cdp.send('Performance.getMetrics')).metrics.map((m) => [m.name, m.value * 1000]));
  await page.evaluate(() => {
    window.__frames = 0;
    const count = () => (window.__frames++, requestAnimationFrame(count));
    requestAnimationFrame(count);
  });
  const frames = () => page.evaluate(() => window.__frames);
  /** Main-thread time of what is done, by its parts. */
  async function spentIn(act) {
    const before = await metrics();
    await act();
    const after = await metrics();
    return (...names) => names.reduce((sum, k) => sum + after[k] - before[k], 0);
  }
  /** Once along the way, by the clock or by the processor time of the main thread alone. */
  async function once(timeDomain) {
    await cdp.send('Performance.enable', { timeDomain });
    await page.mouse.move(...points[0]);
    // the same moves with nothing held: what moving a pointer over the page costs by itself
    const idle = (await spentIn(() => moves(page, points)))('TaskDuration');
    const { spent, drawn } = await drag(page, points, async (go) => {
      const first = await frames();
      return { spent: await spentIn(go), drawn: (await frames()) - first };
    });
    await cdp.send('Performance.disable');
    return {
      perFrame: spent('TaskDuration') / drawn,
      frames: drawn,
      perMove: (spent('TaskDuration') - idle) / points.length,
      own: spent('ScriptDuration', 'LayoutDuration', 'RecalcStyleDuration') / points.length
    };
  }
  const byClock = [];
  const byThread = [];
  for (let round = 0; round < 3; round++) {
    byClock.push(await once('timeTicks'));
    byThread.push(await once('threadTicks'));
  }
  const middle = (of, what) => median(of.map((o) => o[what]));
  const clock = Object.fromEntries(Object.keys(byClock[0]).map((what) => [what, middle(byClock, what)]));
  return { ...clock, processor: middle(byThread, 'perMove'), moves: points.length };
}
