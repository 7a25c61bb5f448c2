import { writeFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { HeavyWork } from '$lib/server/calc/heavy.ts';

const folder = mkdtempSync(join(tmpdir(), 'nemrik-heavy-'));
const script = join(folder, 'worker.mjs');
// stands for the calculations: sleeps, fails or never ends, as it is asked
writeFileSync(
  script,
  `import { parentPort, threadId } from 'node:worker_threads';
   parentPort.on('message', ({ name, input }) => {
     if (name === 'dies') throw new Error('out of its depth');
     if (name === 'for-ever') for (;;);
     Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, input ?? 0);
     parentPort.postMessage({ ok: true, out: threadId });
   });`
);
afterAll(() => rmSync(folder, { recursive: true }));
const limits = {
  workers: 2,
  all: 6,
  perCaller: 3,
  ms: 1500,
  words: { several: 'long calculations', less: 'Ask for less at once.' }
};
const code = (p: Promise<unknown>) =>
  p.then(
    () => 'done',
    (e: { code?: string; message: string }) => e.code ?? e.message
  );

describe('long calculations', () => {
  it('do not hold up who answers requests, and share a few threads', async () => {
    const work = new HeavyWork(script, limits);
    let turns = 0;
    const ticking = setInterval(() => turns++, 5);
    const out = await Promise.all(['a', 'b', 'c', 'd'].map((who) => work.run('sleeps', 120, who)));
    clearInterval(ticking);
    expect(turns).toBeGreaterThan(10);
    expect(new Set(out.map((a) => (a as { out: number }).out)).size).toBe(2);
    await work.close();
  });

  it('of one caller are few at a time, and one caller does not take what others wait for', async () => {
    const work = new HeavyWork(script, limits);
    const mine = Array.from({ length: 5 }, () => code(work.run('sleeps', 60, 'me')));
    const other = code(work.run('sleeps', 10, 'somebody else'));
    expect(await Promise.all(mine)).toEqual(['done', 'done', 'done', 'too-many-at-once', 'too-many-at-once']);
    expect(await other).toBe('done');
    expect(await code(work.run('sleeps', 1, 'me'))).toBe('done');
    await work.close();
  });

  it('beyond what can wait are told so', async () => {
    const work = new HeavyWork(script, limits);
    const all = Array.from({ length: 8 }, (_, k) => code(work.run('sleeps', 40, `caller ${k}`)));
    expect((await Promise.all(all)).sort()).toEqual(
      [...Array(2).fill('database-busy'), ...Array(6).fill('done')].sort()
    );
    await work.close();
  });

  it('that never end are ended, and those behind them go on', async () => {
    const work = new HeavyWork(script, { ...limits, workers: 1, ms: 400 });
    const [endless, next] = await Promise.all([code(work.run('for-ever', 0, 'a')), code(work.run('sleeps', 1, 'b'))]);
    expect([endless, next]).toEqual(['too-long', 'done']);
    await work.close();
  });

  it('with an input that no thread can take fail alone, and keep no thread', async () => {
    const work = new HeavyWork(script, { ...limits, workers: 1 });
    const began = Date.now();
    // waiting behind another, it is handed over from a listener of that one's thread
    const said = [
      code(work.run('sleeps', 20, 'a')),
      code(work.run('sleeps', () => 0, 'b')),
      code(work.run('sleeps', 1, 'c'))
    ];
    expect(await Promise.all(said)).toEqual(['done', DOMException.DATA_CLONE_ERR, 'done']);
    expect(Date.now() - began).toBeLessThan(limits.ms);
    await work.close();
  });

  it('that fail say so to who asked, and to nobody else', async () => {
    const work = new HeavyWork(script, limits);
    const [dies, next] = await Promise.all([code(work.run('dies', 0, 'a')), code(work.run('sleeps', 1, 'b'))]);
    expect([dies, next]).toEqual(['out of its depth', 'done']);
    await work.close();
  });
});
