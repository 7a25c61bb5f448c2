import { spawnSync } from 'node:child_process';
import { createHash, randomUUID } from 'node:crypto';
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
import yazl from 'yazl';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { backup, backupFolder, beforeUpgrade, nightly, restore } from '../../scripts/lib/backup.mjs';
import { openArchive } from '../../scripts/lib/backup/archive.mjs';
import { cluster } from '../../scripts/lib/cluster.mjs';
import { ensureDatabase, migrate, migrations, pending } from '../../scripts/lib/database.mjs';
import { journal } from '../../scripts/lib/journal.mjs';
import { dataHome } from '../../scripts/lib/paths.mjs';
import { databaseOf } from '../../scripts/lib/serve.mjs';
import { nightlyTrouble } from '../../src/lib/server/backups.ts';
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

interface Manifest {
  app: string;
  migrations: string[];
  tables: { name: string; columns: string[]; bytes: number; sha256: string }[];
}
/** Somebody who knows the format gives every part its right hash. */
const trusting = (m: Manifest, texts: Map<string, string>): Manifest => ({
  ...m,
  tables: m.tables.map((t) => {
    const text = texts.get(`${t.name}.copy`) ?? '';
    return { ...t, bytes: Buffer.byteLength(text), sha256: createHash('sha256').update(text).digest('hex') };
  })
});

/** A ZIP of these texts. */
async function zipped(name: string, parts: Record<string, string>): Promise<string> {
  const at = join(folder, `${name}.zip`);
  const zip = new yazl.ZipFile();
  for (const [n, text] of Object.entries(parts)) zip.addBuffer(Buffer.from(text), n.replace('../../', 'aa/bb/'));
  zip.end();
  const chunks: Buffer[] = [];
  for await (const c of zip.outputStream) chunks.push(c as Buffer);
  writeFileSync(at, Buffer.concat(chunks).toString('latin1').replaceAll('aa/bb/', '../../'), 'latin1');
  return at;
}

/** A backup of ours with its list, or its parts, changed. */
async function rewritten(
  file: string,
  list: (m: Manifest, texts: Map<string, string>) => Manifest,
  more: Record<string, string> = {},
  parts: Record<string, (text: string) => string> = {}
): Promise<string> {
  const archive = await openArchive(file);
  const texts = new Map<string, string>();
  for (const t of archive.manifest.tables as Manifest['tables']) {
    const chunks: Buffer[] = [];
    for await (const c of await archive.open(t.name)) chunks.push(c as Buffer);
    const text = Buffer.concat(chunks).toString('utf8');
    texts.set(`${t.name}.copy`, parts[`${t.name}.copy`]?.(text) ?? text);
  }
  archive.close();
  const manifest = JSON.stringify(list(archive.manifest as Manifest, texts));
  return zipped(`changed-${randomUUID()}`, { ...Object.fromEntries(texts), ...more, 'manifest.json': manifest });
}

describe('a backup', () => {
  const file = join(folder, 'workshop.nemrik');
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
    const left = await ask<{ datname: string }>(`SELECT datname FROM pg_database WHERE datname LIKE '%reading_back%'`);
    expect(left).toEqual([]);
  });
  it('is not restored before somebody has said so', async () => {
    await expect(restore(db, file)).rejects.toThrow('Nothing was changed');
    expect(await engines()).toEqual(['Pump']);
  });
  it('that is damaged, or holds something else, changes nothing', async () => {
    const bad = join(folder, 'bad.nemrik');
    writeFileSync(bad, readFileSync(file).subarray(0, statSync(file).size / 2));
    await expect(restore(db, bad, { yes: true })).rejects.toThrow(
      'is no backup of Nemrik’s: it is another kind of file, or cut short'
    );
    await expect(restore(db, join(folder, 'none.nemrik'), { yes: true })).rejects.toThrow('There is no file');
    expect(await engines()).toEqual(['Pump']);
  });
  it('holds every table: photographs too, and the numbers go on where they stood', async () => {
    const job = '11111111-1111-4111-8111-111111111111';
    await ask(`INSERT INTO job (id, engine_id, sheet, opened_by) VALUES ('${job}', 'pump', 'verify-marks', 'ida')`);
    await ask(
      `INSERT INTO photo (id, job_id, by_person, kind, bytes) VALUES ('${job}', '${job}', 'ida', 'image/png', '\\x89504e47')`
    );
    for (const n of ['1', '2'])
      await ask(
        `INSERT INTO sheet_value (engine_id, name, given, source, by_person, value) VALUES ('pump', 'strokeMm', '9${n}', 'plate', 'ida', '9${n}')`
      );
    const [was] = await ask<{ v: number }>('SELECT sheet_version AS v FROM engine');
    await backup(db, file);
    await restore(db, file, { yes: true });
    expect(await ask(`SELECT encode(bytes, 'hex') AS b FROM photo`)).toEqual([{ b: '89504e47' }]);
    // what is read back is counted once
    expect(await ask('SELECT sheet_version AS v FROM engine')).toEqual([was]);
    await ask(
      `INSERT INTO sheet_value (engine_id, name, given, source, by_person, value) VALUES ('pump', 'strokeMm', '93', 'plate', 'ida', '93')`
    );
    expect(await ask('SELECT given FROM sheet_value ORDER BY id DESC LIMIT 1')).toEqual([{ given: '93' }]);
    await expect(ask(`UPDATE sheet_value SET given = '1'`)).rejects.toThrow();
  });
  it('of an earlier version is read into the tables of then, and brought up to now', async () => {
    const url = () => db.main!.url('old');
    await ensureDatabase(db.main!.url('postgres'), 'old');
    await migrate(url(), migrations().length - 1);
    await ask(`INSERT INTO engine (id, name) VALUES ('pump', 'Pump')`, url());
    expect(await pending(url())).toEqual([migrations().at(-1)]);
    const old = join(folder, 'old.nemrik');
    await backup({ ...db, name: 'old', url }, old);
    await restore(db, old, { yes: true });
    expect(await pending(db.url())).toEqual([]);
    expect(await engines()).toEqual(['Pump']);
  });

  const ran = join(folder, 'ran');
  const dump = (...args: string[]) => {
    const u = new URL(db.url());
    const out = spawnSync(
      join(db.main!.bin(), 'pg_dump'),
      ['-h', u.hostname, '-p', u.port, '-U', u.username, ...args, '-d', 'nemrik'],
      {
        env: { ...process.env, PGPASSWORD: decodeURIComponent(u.password) }
      }
    );
    expect(out.status).toBe(0);
    return out.stdout;
  };
  const shell = `COPY (SELECT 1) TO PROGRAM 'touch ${ran}';`;
  const raw = (name: string, bytes: string | Buffer) => {
    const at = join(folder, name);
    writeFileSync(at, bytes);
    return at;
  };
  it.each<[what: string, make: () => Promise<string> | string, says: string]>([
    ['an empty file', () => raw('a', ''), 'is no backup of Nemrik’s'],
    ['SQL that runs a program', () => raw('b', shell), 'another kind of file'],
    ['a dump of PostgreSQL’s own', () => raw('c', dump('-Fc')), 'another kind of file'],
    ['the same as plain SQL', () => raw('d', Buffer.concat([dump('-Fp'), Buffer.from(shell)])), 'another kind of file'],
    ['a ZIP without a list', () => zipped('e', { 'toc.dat': shell }), 'no list of what it holds'],
    ['a list of another shape', () => zipped('f', { 'manifest.json': '{"format":"nemrik-backup"}' }), 'cannot be read'],
    [
      'one file more than the list says',
      () => rewritten(file, (m) => m, { 'run.sql': shell }),
      'other files than it says'
    ],
    [
      'a table changed afterwards',
      () => rewritten(file, (m) => m, {}, { 'engine.copy': (t) => t.replace('Pump', 'Bump') }),
      'was changed after'
    ],
    [
      'a table with SQL in the place of its rows',
      () => rewritten(file, trusting, {}, { 'engine.copy': () => `\\.\n${shell}\n` }),
      'does not fit its table'
    ],
    [
      'a table that is not the workshop’s',
      () =>
        rewritten(file, (m) => ({
          ...m,
          tables: m.tables.map((t) => (t.name === 'gauge' ? { ...t, name: 'pg_authid' } : t))
        })),
      'is no backup'
    ],
    [
      'a column that is SQL',
      () =>
        rewritten(file, (m) => ({
          ...m,
          tables: m.tables.map((t) => ({ ...t, columns: [`id) FROM PROGRAM 'touch ${ran}' --`] }))
        })),
      'cannot be read'
    ],
    ['a name that leads out of the folder', () => zipped('g', { '../../manifest.json': '{}' }), 'it is damaged'],
    [
      'a newer version’s tables',
      () => rewritten(file, (m) => ({ ...m, app: '9.0.0', migrations: [...m.migrations, '9999_more'] })),
      'newer version of Nemrik (9.0.0)'
    ],
    [
      'rows that were left out',
      () => rewritten(file, trusting, {}, { 'photo.copy': () => '' }),
      'photo is not what it was when it was written'
    ]
  ])('is not %s: it is refused in words, and nothing of it is run', async (_, make, says) => {
    await expect(restore(db, await make(), { yes: true })).rejects.toThrow(says);
    expect(existsSync(ran)).toBe(false);
    expect(await engines()).toEqual(['Pump']);
    expect(await ask(`SELECT datname FROM pg_database WHERE datname LIKE '%reading_back%'`)).toEqual([]);
  });
  it('and a restore at once wait for each other, and each keeps what is its own', async () => {
    await enter('Winch');
    const second = join(folder, 'second.nemrik');
    await Promise.all([backup(db, second), restore(db, file, { yes: true }), backup(db, join(folder, 'third.nemrik'))]);
    expect(await engines()).toEqual(['Pump']);
    expect(await engines(db.main!.url('nemrik_before'))).toEqual(['Pump', 'Winch']);
    await restore(db, second, { yes: true });
    expect(await engines()).toEqual(['Pump', 'Winch']);
    await restore(db, file, { yes: true });
    expect(await engines()).toEqual(['Pump']);
  });
  it('clears away what one that was killed left behind', async () => {
    await ensureDatabase(db.main!.url('postgres'), 'nemrik_reading_back_dead');
    await backup(db, join(folder, 'third.nemrik'));
    expect(await ask(`SELECT datname FROM pg_database WHERE datname LIKE '%reading_back%'`)).toEqual([]);
  });
  it('leaves the file of before when it cannot be written', async () => {
    const was = readFileSync(file);
    await expect(backup({ ...db, url: () => db.main!.url('no_such_database') }, file)).rejects.toThrow();
    expect(readFileSync(file).equals(was)).toBe(true);
    await expect(backup(db, join(folder, 'nowhere/x.nemrik'))).rejects.toThrow('There is no folder');
    expect(readdirSync(folder).filter((f) => f.endsWith('.coming'))).toEqual([]);
  });
  it('is made every night under the name of its weekday, and before an upgrade, of which the last five are kept', async () => {
    const night = await nightly(db);
    expect(night).toMatch(/nightly-[a-z]+day\.nemrik$/);
    expect(await nightly(db)).toBe(night);
    for (let k = 0; k < 7; k++) writeFileSync(join(backupFolder(), `before-upgrade-2020010100000${k}.nemrik`), 'old');
    const file = await beforeUpgrade(db);
    const all = readdirSync(backupFolder()).filter((f) => f.startsWith('before-upgrade-'));
    expect(all).toHaveLength(5);
    expect(existsSync(file)).toBe(true);
    expect(statSync(backupFolder()).mode & 0o077).toBe(0);
  });
});

describe('the backup of the night', () => {
  const told = () => nightlyTrouble(new Date(), backupFolder());
  it('tells whether it succeeded, and since when there is none', async () => {
    await nightly(db);
    expect(told()).toBeNull();
    await expect(nightly({ ...db, url: () => db.main!.url('no_such_database') })).rejects.toThrow();
    expect(told()).toMatch(/^The backup of the night failed, .*no_such_database.*The last good one is of \d/);
    await nightly(db);
    expect(told()).toBeNull();
    expect(nightlyTrouble(new Date(Date.now() + 3 * 86_400_000), backupFolder())).toMatch(/^No backup was made since /);
    expect(nightlyTrouble(new Date(), join(folder, 'nowhere'))).toBeNull();
  });
  it('holds for a database of one’s own choice too', async () => {
    process.env.DATABASE_URL = db.url();
    try {
      const file = join(folder, 'foreign.nemrik');
      await backup(databaseOf('start'), file);
      const archive = await openArchive(file);
      expect(archive.manifest.tables).toContainEqual(expect.objectContaining({ name: 'engine', rows: 1 }));
      archive.close();
    } finally {
      delete process.env.DATABASE_URL;
    }
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
    const env = {
      ...process.env,
      PORT: '4180',
      HOST: '0.0.0.0',
      ORIGIN: 'https://a.example/100%"',
      XDG_DATA_HOME: '/srv/x',
      NEMRIK_CONNECTIONS: '7'
    };
    const r = spawnSync('./nemrik', ['service', to], { cwd: root, encoding: 'utf8', env });
    expect(r.status).toBe(0);
    expect(r.stdout).toContain('enable --now nemrik.service nemrik-backup.timer');
    const unit = readFileSync(join(to, 'nemrik.service'), 'utf8');
    expect(unit).toContain(`ExecStart=${join(root, 'nemrik')} start`);
    expect(unit).toContain('Restart=always');
    expect(unit).toContain(`EnvironmentFile=${join(to, 'nemrik.env')}`);
    expect(unit).not.toContain('Environment=');
    const told = readFileSync(join(to, 'nemrik.env'), 'utf8').split('\n');
    for (const line of [
      'PORT="4180"',
      'ORIGIN="https://a.example/100%\\""',
      'XDG_DATA_HOME="/srv/x"',
      'NEMRIK_CONNECTIONS="7"'
    ])
      expect(told).toContain(line);
    const night = readFileSync(join(to, 'nemrik-backup.service'), 'utf8');
    expect(night).toContain('backup --nightly');
    expect(night).toContain('After=nemrik.service');
    expect(readFileSync(join(to, 'nemrik-backup.timer'), 'utf8')).toContain('OnCalendar=');
    // it may carry a password
    expect(statSync(join(to, 'nemrik.env')).mode & 0o077).toBe(0);
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
