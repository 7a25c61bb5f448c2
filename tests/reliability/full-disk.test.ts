import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { LONG, pause, Served } from './served.ts';

/** A small disk of its own, where this machine lets us have one; only the full run asks for it. */
const folder = mkdtempSync(join(tmpdir(), 'nemrik-full-'));
const mounted =
  LONG &&
  spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=260m,mode=755', 'tmpfs', folder], { stdio: 'ignore' }).status === 0;
if (LONG && !mounted) console.log('no disk could be mounted here: a full one is not tried');
const ballast = join(folder, 'ballast');
const job = randomUUID();

describe.skipIf(!mounted)('a disk that is full', () => {
  const served = mounted ? new Served(folder) : null!;
  beforeAll(async () => {
    await served.start();
    await served.ask(`INSERT INTO person (id, name) VALUES ('ida', 'Ida')`);
    await served.ask(`INSERT INTO engine (id, name) VALUES ('pump', 'Pump')`);
    await served.ask(
      `INSERT INTO job (id, engine_id, sheet, opened_by) VALUES ($1, 'pump', 'fit-from-scratch', 'ida')`,
      [job]
    );
  }, 120_000);
  afterAll(async () => {
    await served.stop();
    spawnSync('umount', [folder]);
    rmSync(folder, { recursive: true, force: true });
  }, 60_000);

  const post = async (id: string) => {
    const r = await fetch(`${served.url}/api/jobs/${job}/events`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie: 'nemrik-person=ida' },
      body: JSON.stringify({ id, kind: 'remark', text: 'n'.repeat(480) }),
      signal: AbortSignal.timeout(20_000)
    });
    return { status: r.status, body: (await r.json()) as { error?: { code: string; message: string } } };
  };

  it(
    'is told in words, loses nothing that was acknowledged, and comes back by itself',
    { timeout: 240_000 },
    async () => {
      const acknowledged: string[] = [];
      const server = served.serverPid;
      const { bavail, bsize } = statfsSync(folder);
      writeFileSync(ballast, Buffer.alloc(Math.max(0, bavail * bsize - 64 * 1024)));
      const said = new Set<string>();
      for (let k = 0; k < 60_000 && said.size === 0; k++) {
        const id = randomUUID();
        const { status, body } = await post(id);
        if (status === 200) acknowledged.push(id);
        else {
          expect(status).toBe(503);
          said.add(body.error!.code);
          expect(body.error!.message).toMatch(/The disk of the server is full|does not answer/);
        }
      }
      expect(said.size).toBe(1);
      await pause(3000);
      rmSync(ballast);
      await served.answers('/api/health/ready', 90_000);
      expect((await post(randomUUID())).status).toBe(200);
      expect(served.serverPid).toBe(server);
      const there = new Set((await served.ask<{ id: string }>('SELECT id FROM event')).map((r) => r.id));
      expect(acknowledged.filter((id) => !there.has(id))).toEqual([]);
      console.log(
        `a full disk after ${acknowledged.length} acknowledged: ${[...said].join()}, none lost, up again by itself`
      );
    }
  );
});
