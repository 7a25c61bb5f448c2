import { randomUUID } from 'node:crypto';
import { readFileSync, statSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { LONG, pause, Served } from './served.ts';

/**
 * People go on writing while server and database are killed under them in every way there is. What was acknowledged is
 * there once and as it was typed; nothing stays dead.
 */
const KILLS = LONG ? 50 : 6;
const WRITERS = 8;
const served = new Served();
const jobs: string[] = [];
beforeAll(async () => {
  await served.start();
  await served.ask(`INSERT INTO person (id, name) VALUES ('ida', 'Ida')`);
  await served.ask(`INSERT INTO engine (id, name) VALUES ('pump', 'Pump')`);
  for (let k = 0; k < 4; k++) {
    jobs.push(randomUUID());
    await served.ask(
      `INSERT INTO job (id, engine_id, sheet, opened_by) VALUES ($1, 'pump', 'fit-from-scratch', 'ida')`,
      [jobs[k]]
    );
  }
}, 120_000);
afterAll(async () => {
  await served.stop();
  served.wipe();
}, 60_000);

const post = (job: string, id: string, text: string) =>
  fetch(`${served.url}/api/jobs/${job}/events`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', cookie: 'nemrik-person=ida' },
    body: JSON.stringify({ id, kind: 'remark', text }),
    signal: AbortSignal.timeout(20_000)
  });

const seen = { acknowledged: new Map<string, string>(), statuses: new Map<number | string, number>(), longest: 0 };
const note = (s: number | string) => seen.statuses.set(s, (seen.statuses.get(s) ?? 0) + 1);
let writing = true;

/** Says one thing after the other, each until it is heard, as a screen does. */
async function writer(n: number): Promise<void> {
  for (let k = 0; writing; k++) {
    const [id, text] = [randomUUID(), `${n} said ${k}`];
    const from = performance.now();
    while (writing) {
      const status = await post(jobs[(n + k) % jobs.length]!, id, text).then(
        (r) => r.status,
        () => 'no answer'
      );
      note(status);
      if (status === 200) {
        seen.acknowledged.set(id, text);
        break;
      }
      await pause(60);
    }
    if (seen.acknowledged.has(id)) seen.longest = Math.max(seen.longest, performance.now() - from);
  }
}

const backends = () =>
  served.ask<{ pid: number }>(
    `SELECT pid FROM pg_stat_activity WHERE datname = 'nemrik' AND backend_type = 'client backend' AND pid <> pg_backend_pid()`
  );
const kill = (pid: number | null | undefined, signal: NodeJS.Signals) => {
  try {
    if (pid) process.kill(pid, signal);
  } catch {
    /* it was gone already */
  }
};
const KINDS: [name: string, act: () => Promise<void> | void][] = [
  ['the server, at once', () => kill(served.serverPid, 'SIGKILL')],
  ['the server, asked to go', () => kill(served.serverPid, 'SIGTERM')],
  ['the database, at once', () => kill(served.postmasterPid, 'SIGKILL')],
  [
    'every connection',
    async () =>
      void (await served.ask(
        `SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE pid <> pg_backend_pid() AND datname = 'nemrik'`
      ))
  ],
  ['one process of the database', async () => kill((await backends())[0]?.pid, 'SIGKILL')],
  ['the database, asked to go', () => served.stopDatabase()]
];

describe('writers under kills', () => {
  it(
    `${KILLS} kills: nothing acknowledged is lost or doubled, and nothing stays dead`,
    { timeout: 30 * 60_000 },
    async () => {
      const all = Array.from({ length: WRITERS }, (_, n) => writer(n));
      for (let k = 0; k < KILLS; k++) {
        await pause(LONG ? 700 : 400);
        const [, act] = KINDS[k % KINDS.length]!;
        const server = served.serverPid;
        await act();
        const before = seen.acknowledged.size;
        // a server that is gone is another one soon
        if (k % KINDS.length < 2)
          await expect
            .poll(() => served.serverPid, { timeout: 20_000, interval: 50 })
            .toSatisfy((p) => p !== null && p !== server);
        await served.answers();
        // only what was aimed at is gone: a server does not die of its database
        if (k % KINDS.length >= 2) expect(served.serverPid).toBe(server);
        for (const until = Date.now() + 20_000; seen.acknowledged.size < before + WRITERS && Date.now() < until;)
          await pause(50);
        expect(seen.acknowledged.size).toBeGreaterThan(before);
      }
      writing = false;
      await Promise.all(all);
      const rows = await served.ask<{ id: string; text: string; n: number }>(
        `SELECT id, min(body ->> 'text') AS text, count(*)::int AS n FROM event GROUP BY id`
      );
      const stored = new Map(rows.map((r) => [r.id, r]));
      const lost = [...seen.acknowledged].filter(([id, text]) => stored.get(id)?.text !== text);
      expect(lost).toEqual([]);
      expect(rows.filter((r) => r.n !== 1)).toEqual([]);
      const numbers = await served.ask<{ gaps: number }>(
        `SELECT count(*)::int AS gaps FROM (SELECT job_id, max(seq) AS last, count(*) AS n FROM event GROUP BY job_id) j WHERE last <> n`
      );
      expect(numbers[0]!.gaps).toBe(0);
      expect([...seen.statuses.keys()].filter((s) => ![200, 503, 'no answer'].includes(s as number))).toEqual([]);
      console.log(
        `${KILLS} kills, ${seen.acknowledged.size} acknowledged, none lost, none twice; longest wait of a writer ${(seen.longest / 1000).toFixed(1)} s; ` +
          [...seen.statuses].map(([s, n]) => `${s}: ${n}`).join(', ')
      );
    }
  );

  it('the log says what ended and what was started again, is for its owner alone, and holds nothing that was written', () => {
    const log = readFileSync(served.log, 'utf8');
    expect(log).toContain('the server ended');
    expect(log).toContain('the database is gone: it is started again');
    expect(log).toContain('the database is up again');
    expect(log).not.toMatch(/\d said \d/);
    expect(statSync(served.log).mode & 0o077).toBe(0);
  });
});

describe('the end', () => {
  it('comes within seconds, however busy the lines are kept', { timeout: 60_000 }, async () => {
    writing = true;
    const busy = Array.from({ length: WRITERS }, (_, n) => writer(n));
    await pause(500);
    const took = await served.stop();
    writing = false;
    await Promise.all(busy);
    expect(took).toBeLessThan(6000);
    expect(
      await fetch(served.url).then(
        () => 'answers',
        () => 'gone'
      )
    ).toBe('gone');
  });
});
