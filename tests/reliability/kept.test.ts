import { spawnSync } from 'node:child_process';
import {
  chmodSync,
  existsSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  statSync,
  writeFileSync
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { backup, backupFolder, beforeUpgrade, nightly, restore } from '../../scripts/lib/backup.mjs';
import { cluster } from '../../scripts/lib/cluster.mjs';
import { ensureDatabase, migrate, pending } from '../../scripts/lib/database.mjs';
import { journal } from '../../scripts/lib/journal.mjs';
import { dataHome } from '../../scripts/lib/paths.mjs';
import { databaseOf } from '../../scripts/lib/serve.mjs';
import { root } from './served.ts';

const folder = mkdtempSync(join(tmpdir(), 'nemrik-kept-'));
chmodSync(folder, 0o755);
const before = { data: process.env.NEMRIK_DATA, url: process.env.DATABASE_URL };
let db: ReturnType<typeof databaseOf>;
beforeAll(async () => {
  process.env.NEMRIK_DATA = folder;
  delete process.env.DATABASE_URL;
  db = databaseOf('start');
  await db.start();
  await ensureDatabase(db.main!.url('postgres'), 'nemrik');
  await migrate(db.url());
  await ask(`INSERT INTO person (id, name) VALUES ('ida', 'Ida')`);
}, 120_000);
afterAll(() => {
  cluster('pg', { durable: true }).wipe();
  rmSync(folder, { recursive: true, force: true });
  if (before.data === undefined) delete process.env.NEMRIK_DATA;
  else process.env.NEMRIK_DATA = before.data;
  if (before.url !== undefined) process.env.DATABASE_URL = before.url;
});
async function ask<T extends pg.QueryResultRow>(sql: string, url = db.url()): Promise<T[]> {
  const c = new pg.Client({ connectionString: url });
  await c.connect();
  try {
    return (await c.query<T>(sql)).rows;
  } finally {
    await c.end();
  }
}
const engines = async (url?: string) =>
  (await ask<{ name: string }>('SELECT name FROM engine ORDER BY name', url)).map((e) => e.name);
const enter = (name: string) => ask(`INSERT INTO engine (id, name) VALUES ('${name.toLowerCase()}', '${name}')`);

describe('a backup', () => {
  const file = join(folder, 'workshop.dump');
  it('holds the workshop, is for its owner alone, and puts it back; what it replaced stays beside it', async () => {
    await enter('Pump');
    await backup(db, file);
    expect(statSync(file).mode & 0o077).toBe(0);
    await enter('Winch');
    await restore(db, file, { yes: true });
    expect(await engines()).toEqual(['Pump']);
    expect(await engines(db.main!.url('nemrik_before'))).toEqual(['Pump', 'Winch']);
    // the application's role gets in again
    expect(await engines(db.appUrl())).toEqual(['Pump']);
    const left = await ask<{ datname: string }>(`SELECT datname FROM pg_database WHERE datname LIKE '%reading_back'`);
    expect(left).toEqual([]);
  });
  it('is not restored before somebody has said so', async () => {
    await expect(restore(db, file)).rejects.toThrow('Nothing was changed');
    expect(await engines()).toEqual(['Pump']);
  });
  it('that is damaged, or holds something else, changes nothing', async () => {
    const bad = join(folder, 'bad.dump');
    writeFileSync(bad, readFileSync(file).subarray(0, 4000));
    await expect(restore(db, bad, { yes: true })).rejects.toThrow('pg_restore did not succeed');
    await expect(restore(db, join(folder, 'none.dump'), { yes: true })).rejects.toThrow('There is no file');
    expect(await engines()).toEqual(['Pump']);
  });
  it('leaves the file of before when it cannot be written', async () => {
    const was = readFileSync(file);
    await expect(backup({ ...db, name: 'no_such_database' }, file)).rejects.toThrow();
    expect(readFileSync(file).equals(was)).toBe(true);
    await expect(backup(db, join(folder, 'nowhere/x.dump'))).rejects.toThrow('There is no folder');
    expect(readdirSync(folder).filter((f) => f.endsWith('.coming'))).toEqual([]);
  });
  it('is made every night under the name of its weekday, and before an upgrade, of which the last five are kept', async () => {
    const night = await nightly(db);
    expect(night).toMatch(/nightly-[a-z]+day\.dump$/);
    expect(await nightly(db)).toBe(night);
    for (let k = 0; k < 7; k++) writeFileSync(join(backupFolder(), `before-upgrade-2020010100000${k}.dump`), 'old');
    const file = await beforeUpgrade(db);
    const all = readdirSync(backupFolder()).filter((f) => f.startsWith('before-upgrade-'));
    expect(all).toHaveLength(5);
    expect(existsSync(file)).toBe(true);
    expect(statSync(backupFolder()).mode & 0o077).toBe(0);
  });
});

describe('an upgrade', () => {
  it('knows what is still to be done', async () => {
    expect(await pending(db.url())).toEqual([]);
    await ensureDatabase(db.main!.url('postgres'), 'empty');
    const all = await pending(db.main!.url('empty'));
    expect(all.length).toBeGreaterThan(3);
    expect(all).toEqual([...all].sort());
  });
});

describe('the data', () => {
  it('live where NEMRIK_DATA says, and otherwise outside the checkout', () => {
    expect(dataHome()).toBe(folder);
    delete process.env.NEMRIK_DATA;
    expect(dataHome().startsWith(root)).toBe(false);
    process.env.NEMRIK_DATA = folder;
  });
});

describe('the units of the service', () => {
  it('keep it up, back it up at night, and carry what it was told', () => {
    const to = join(folder, 'units');
    const env = { ...process.env, PORT: '4180', HOST: '0.0.0.0', ORIGIN: 'https://a.example/100%"' };
    const r = spawnSync('./nemrik', ['service', to], { cwd: root, encoding: 'utf8', env });
    expect(r.status).toBe(0);
    expect(r.stdout).toContain('enable --now nemrik.service nemrik-backup.timer');
    const unit = readFileSync(join(to, 'nemrik.service'), 'utf8');
    expect(unit).toContain(`ExecStart=${join(root, 'nemrik')} start`);
    expect(unit).toContain('Restart=always');
    expect(unit).toContain('Environment="PORT=4180"');
    expect(unit).toContain('Environment="ORIGIN=https://a.example/100%%\\""');
    expect(readFileSync(join(to, 'nemrik-backup.service'), 'utf8')).toContain('backup --nightly');
    expect(readFileSync(join(to, 'nemrik-backup.timer'), 'utf8')).toContain('OnCalendar=');
    // it may carry a password
    expect(statSync(join(to, 'nemrik.service')).mode & 0o077).toBe(0);
  });
});

describe('a log file', () => {
  it('is for its owner alone, begins anew when it is large, and keeps the last five', () => {
    const file = join(folder, 'turns.log');
    const log = journal(file);
    const megabyte = `${'x'.repeat(1024 * 1024 - 1)}\n`;
    for (let k = 0; k < 40; k++) log.write(megabyte);
    log.say('the last line');
    const all = readdirSync(folder).filter((f) => f.startsWith('turns.log'));
    expect(all.length).toBe(6);
    for (const f of all) {
      expect(statSync(join(folder, f)).mode & 0o077).toBe(0);
      expect(statSync(join(folder, f)).size).toBeLessThan(7 * 1024 * 1024);
    }
    expect(readFileSync(file, 'utf8')).toContain('the last line');
  });
});
