import { spawn } from 'node:child_process';
import { chmodSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { basename, dirname, join, resolve } from 'node:path';
import { createInterface } from 'node:readline/promises';
import pg from 'pg';
import { contents, dropDatabase, ensureDatabase, migrate, withClient } from './database.mjs';
import { dataHome } from './paths.mjs';
import { letIn } from './roles.mjs';
import { Stop, say } from './stop.mjs';

/** What a workshop consists of; everything else is worked out from it again. */
const TABLES = ['person', 'workshop', 'engine', 'sheet_value', 'gauge', 'stock_item', 'stock_move', 'job', 'event'];
const BESIDE = '_reading_back';

export const backupFolder = () => join(dataHome(), 'backups');

/** What a database holds, table by table: how many rows, and a digest over all of them. */
async function digest(c) {
  const out = {};
  for (const t of TABLES) {
    const { rows } = await c.query(
      `SELECT count(*)::int AS n, coalesce(md5(string_agg(h, '' ORDER BY h)), '') AS sum FROM (SELECT md5(x::text) AS h FROM ${t} x) r`
    );
    out[t] = rows[0];
  }
  return out;
}

const differing = (a, b) => TABLES.filter((t) => a[t].n !== b[t].n || a[t].sum !== b[t].sum);

/** Runs a program of PostgreSQL against a database; the password goes by the environment. */
function tool(bin, program, url, args) {
  const u = new URL(url);
  const at = ['-h', u.hostname, '-p', u.port || '5432', '-U', decodeURIComponent(u.username)];
  return new Promise((done, failed) => {
    const child = spawn(join(bin, program), [...at, ...args], {
      env: { ...process.env, PGPASSWORD: decodeURIComponent(u.password) },
      stdio: ['ignore', 'ignore', 'pipe']
    });
    let said = '';
    child.stderr.on('data', (t) => (said = (said + t).slice(-2000)));
    child.on('error', failed);
    child.on('close', (code) =>
      code === 0
        ? done()
        : failed(
            /No space left/.test(said)
              ? new Stop('The disk is full: free some space and run this again.')
              : new Stop(`${program} did not succeed: ${said.trim().split('\n').at(-1)}`)
          )
    );
  });
}

/**
 * Writes a database into a file and proves it: the file is read back into a database beside it, and every table of the two
 * is compared. Only a file that agrees takes its name; an earlier one of that name stands until then.
 */
export async function backup(db, file, quiet = false) {
  const to = resolve(file);
  if (existsSync(to) && statSync(to).isDirectory()) throw new Stop(`${to} is a folder: name a file.`);
  if (!existsSync(dirname(to))) throw new Stop(`There is no folder ${dirname(to)}: make it first, or name another.`);
  const coming = `${to}.coming`;
  const bin = db.main.bin();
  const admin = db.main.url('postgres');
  const scratch = db.name + BESIDE;
  const c = new pg.Client({ connectionString: db.url() });
  await c.connect();
  try {
    // both are of one moment, whatever is written meanwhile
    await c.query('BEGIN TRANSACTION ISOLATION LEVEL REPEATABLE READ READ ONLY');
    const { rows } = await c.query('SELECT pg_export_snapshot() AS id');
    const there = await digest(c);
    await tool(bin, 'pg_dump', db.url(), ['-Fc', `--snapshot=${rows[0].id}`, '-f', coming, '-d', db.name]);
    chmodSync(coming, 0o600);
    await c.query('COMMIT');
    await readInto(bin, admin, scratch, coming, db.main.url(scratch));
    const differs = differing(there, await withClient(db.main.url(scratch), digest));
    if (differs.length)
      throw new Stop(`The backup does not agree with the database (${differs.join(', ')}): it is not kept.`);
    renameSync(coming, to);
    if (!quiet)
      say(
        `${there.engine.n} engines, ${there.job.n} jobs and ${there.event.n} log entries are in ${to}, read back and compared.`
      );
    return to;
  } finally {
    await c.end().catch(() => {});
    rmSync(coming, { force: true });
    await dropDatabase(admin, scratch);
  }
}

async function readInto(bin, admin, name, file, url) {
  await dropDatabase(admin, name);
  await ensureDatabase(admin, name);
  await tool(bin, 'pg_restore', url, ['--exit-on-error', '--no-owner', '--no-privileges', '-d', name, file]);
}

/**
 * Puts a backup in the place of the database. It is read whole and brought up to this version first; what was there is
 * kept under another name until the next time. Nothing is replaced before somebody has said so.
 */
export async function restore(db, file, { yes = false } = {}) {
  const from = resolve(file);
  if (!existsSync(from)) throw new Stop(`There is no file ${from}.`);
  const admin = db.main.url('postgres');
  const coming = db.name + BESIDE;
  try {
    await readInto(db.main.bin(), admin, coming, from, db.main.url(coming));
    await migrate(db.main.url(coming));
    const will = await contents(db.main.url(coming));
    if (!will) throw new Stop(`${from} holds no workshop of Nemrik’s. Nothing was changed.`);
    const has = await held(db);
    say(`${basename(from)} holds ${inWords(will)}.`);
    if (has)
      say(
        `It takes the place of ${inWords(has)}, which stay in the database ${db.name}_before until the next restore.`
      );
    if (has && !yes && !(await agreed('Replace them? Type yes: '))) throw new Stop('Nothing was changed.');
    await withClient(admin, async (c) => {
      await swap(c, db.name, coming);
    });
    await letIn(db.url(), 'nemrik_app', db.main.appPassword());
    const now = await contents(db.url());
    if (JSON.stringify(now) !== JSON.stringify(will)) throw new Stop('What was read back is not what the file held.');
    say(`Done, and read back: ${inWords(now)}.`);
  } finally {
    await dropDatabase(admin, coming);
  }
}

/** The one that comes takes the name, in one transaction; what had it stands beside. */
async function swap(c, name, coming) {
  const id = pg.escapeIdentifier;
  await c.query(`DROP DATABASE IF EXISTS ${id(`${name}_before`)} WITH (FORCE)`);
  await c.query(
    'SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = ANY($1) AND pid <> pg_backend_pid()',
    [[name, coming]]
  );
  const { rowCount } = await c.query('SELECT 1 FROM pg_database WHERE datname = $1', [name]);
  await c.query('BEGIN');
  if (rowCount) await c.query(`ALTER DATABASE ${id(name)} RENAME TO ${id(`${name}_before`)}`);
  await c.query(`ALTER DATABASE ${id(coming)} RENAME TO ${id(name)}`);
  await c.query('COMMIT');
}

async function held(db) {
  try {
    const has = await contents(db.url());
    return has && has.engines + has.jobs + has.people > 0 ? has : null;
  } catch (e) {
    if (e.code === '3D000') return null;
    throw e;
  }
}

const inWords = (x) => `${x.engines} engines, ${x.jobs} jobs and ${x.events} log entries`;

async function agreed(question) {
  if (!process.stdin.isTTY)
    throw new Stop('Nobody is there to say yes: run this at a terminal, or with --yes. Nothing was changed.');
  const ask = createInterface({ input: process.stdin, output: process.stdout });
  try {
    return (await ask.question(question)).trim().toLowerCase() === 'yes';
  } finally {
    ask.close();
  }
}

/** The backup of the night: one a weekday, so that seven are kept. */
export async function nightly(db) {
  mkdirSync(backupFolder(), { recursive: true, mode: 0o700 });
  const day = new Date().toLocaleDateString('en-GB', { weekday: 'long' }).toLowerCase();
  return backup(db, join(backupFolder(), `nightly-${day}.dump`));
}

const KEPT_BEFORE = 5;

/** Before an upgrade changes anything: a backup, when there is something to lose. Answers where it is. */
export async function beforeUpgrade(db) {
  mkdirSync(backupFolder(), { recursive: true, mode: 0o700 });
  const at = new Date().toISOString().slice(0, 19).replace(/\D/g, '');
  const file = await backup(db, join(backupFolder(), `before-upgrade-${at}.dump`), true);
  const old = readdirSync(backupFolder())
    .filter((f) => f.startsWith('before-upgrade-'))
    .sort()
    .slice(0, -KEPT_BEFORE);
  for (const f of old) rmSync(join(backupFolder(), f));
  return file;
}
