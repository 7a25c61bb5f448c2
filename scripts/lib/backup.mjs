import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { basename, dirname, join, resolve } from 'node:path';
import { createInterface } from 'node:readline/promises';
import pg from 'pg';
import { to as copyTo } from 'pg-copy-streams';
import { openArchive, writeArchive } from './backup/archive.mjs';
import { load, mustBeOurs } from './backup/load.mjs';
import { oneAtATime } from './backup/one-at-a-time.mjs';
import { digest, migrationsOf, tablesOf, unlisted } from './backup/tables.mjs';
import { contents, ensureDatabase, migrate, migrations, withClient } from './database.mjs';
import { backupsFolder, root } from './paths.mjs';
import { letIn } from './roles.mjs';
import { Stop, say, sentence } from './stop.mjs';

export { backupsFolder as backupFolder };

const appVersion = () => JSON.parse(readFileSync(join(root, 'package.json'), 'utf8')).version;

/** A database in which the lock of backups is held: one that no restore replaces. */
const adminOf = (db) => db.main?.url('postgres') ?? db.url();

/**
 * Writes a workshop into a file and proves it: the file is read back into a database beside it, and every table of the two
 * is compared. Only a file that agrees takes its name; an earlier one of that name stands until then.
 */
export async function backup(db, file, quiet = false) {
  const to = resolve(file);
  if (existsSync(to) && statSync(to).isDirectory()) throw new Stop(`${to} is a folder: name a file.`);
  if (!existsSync(dirname(to))) throw new Stop(`There is no folder ${dirname(to)}: make it first, or name another.`);
  const coming = `${to}.coming`;
  return oneAtATime(adminOf(db), db.name, async (scratch) => {
    rmSync(coming, { force: true });
    try {
      const has = await write(db, coming);
      await readBack(db, coming, scratch);
      renameSync(coming, to);
      if (!quiet) say(`${inWords(has)} are in ${to}, read back and compared.`);
      return to;
    } catch (e) {
      throw e.code === 'ENOSPC' || e.code === '53100'
        ? new Stop('The disk is full: free some space and run this again.')
        : e;
    } finally {
      rmSync(coming, { force: true });
    }
  });
}

/** Writes all of a workshop as it is at one moment, whatever is written meanwhile. */
function write(db, file) {
  return withClient(db.url(), async (c) => {
    await c.query(`SET TIME ZONE 'UTC'`);
    await c.query('BEGIN TRANSACTION ISOLATION LEVEL REPEATABLE READ READ ONLY');
    const strange = await unlisted(c);
    if (strange.length) throw new Stop(`No backup would hold ${strange.join(', ')}: these tables are not Nemrik’s.`);
    const tables = [];
    for (const t of await tablesOf(c)) tables.push({ ...t, ...(await digest(c, t.name)) });
    const has = await contents(db.url());
    if (!has) throw new Stop(`The database ${db.name} holds no workshop of Nemrik’s.`);
    const about = {
      app: appVersion(),
      made: new Date().toISOString(),
      demo: has.demo,
      migrations: await migrationsOf(c),
      tables
    };
    await writeArchive(file, about, (t) =>
      c.query(copyTo(`COPY ${t.name} (${t.columns.map(pg.escapeIdentifier).join(', ')}) TO STDOUT`))
    );
    await c.query('COMMIT');
    const n = (name) => tables.find((t) => t.name === name).rows;
    return { engines: n('engine'), jobs: n('job'), events: n('event') };
  });
}

/** Reads a file back as a restore would. In a foreign database that lets nobody make one beside it, the file alone is checked. */
async function readBack(db, file, scratch) {
  const archive = await openArchive(file);
  try {
    await ensureDatabase(adminOf(db), scratch);
    await load(beside(db, scratch), archive, file);
  } catch (e) {
    if (e.code !== '42501') throw e;
    say('The database lets nobody make one beside it: the backup is checked by its hashes, and not read back.');
  } finally {
    archive.close();
  }
}

function beside(db, name) {
  const u = new URL(db.url());
  u.pathname = `/${name}`;
  return u.href;
}

/**
 * Puts a backup in the place of the database. All of the file is checked before a byte of it is used; then it is read into a
 * database of its own and brought up to this version. What was there is kept under another name until the next time. Nothing is
 * replaced before somebody has said so.
 */
export async function restore(db, file, { yes = false } = {}) {
  const from = resolve(file);
  if (!existsSync(from)) throw new Stop(`There is no file ${from}.`);
  const archive = await openArchive(from);
  try {
    mustBeOurs(archive, migrations(), from);
    await oneAtATime(adminOf(db), db.name, (scratch) => putBack(db, archive, from, scratch, yes));
  } finally {
    archive.close();
  }
}

async function putBack(db, archive, from, coming, yes) {
  const admin = adminOf(db);
  await ensureDatabase(admin, coming);
  const url = beside(db, coming);
  await load(url, archive, from);
  await migrate(url);
  if (archive.manifest.demo)
    await withClient(url, (c) => c.query(`COMMENT ON TABLE person IS 'demo workshop, complete'`));
  const will = await contents(url);
  const has = await held(db);
  say(`${basename(from)}, of ${archive.manifest.made}, holds ${inWords(will)}.`);
  if (has)
    say(`It takes the place of ${inWords(has)}, which stay in the database ${db.name}_before until the next restore.`);
  if (has && !yes && !(await agreed('Replace them? Type yes: '))) throw new Stop('Nothing was changed.');
  await withClient(admin, (c) => swap(c, db.name, coming));
  await letIn(db.url(), 'nemrik_app', db.main.appPassword());
  const now = await contents(db.url());
  if (JSON.stringify(now) !== JSON.stringify(will)) throw new Stop('What was read back is not what the file held.');
  say(`Done, and read back: ${inWords(now)}.`);
}

/** How often a name is tried for while others still hold a line to the database. */
const TRIES = 20;

/**
 * The one that comes takes the name, in one transaction; what had it stands beside. The one that stood beside before is dropped
 * only afterwards: there is always one to go back to.
 */
async function swap(c, name, coming) {
  const id = pg.escapeIdentifier;
  const [before, aside] = [`${name}_before`, `${name}_before_next`];
  const has = async (n) => (await c.query('SELECT 1 FROM pg_database WHERE datname = $1', [n])).rowCount > 0;
  const drop = (n) => c.query(`DROP DATABASE IF EXISTS ${id(n)} WITH (FORCE)`);
  // left by one that was killed between the two: it is the newer one
  if (await has(aside)) {
    await drop(before);
    await c.query(`ALTER DATABASE ${id(aside)} RENAME TO ${id(before)}`);
  }
  const replaces = await has(name);
  for (let n = 1; ; n++) {
    await c.query(
      'SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = ANY($1) AND pid <> pg_backend_pid()',
      [[name, coming]]
    );
    try {
      await c.query('BEGIN');
      if (replaces) await c.query(`ALTER DATABASE ${id(name)} RENAME TO ${id(aside)}`);
      await c.query(`ALTER DATABASE ${id(coming)} RENAME TO ${id(name)}`);
      await c.query('COMMIT');
      break;
    } catch (e) {
      await c.query('ROLLBACK');
      // somebody got in again meanwhile
      if (e.code !== '55006' || n === TRIES) throw e;
      await new Promise((r) => setTimeout(r, 50));
    }
  }
  if (!replaces) return;
  await drop(before);
  await c.query(`ALTER DATABASE ${id(aside)} RENAME TO ${id(before)}`);
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

/** The backup of the night: one a weekday, so that seven are kept. How it went is noted beside them, for health and floor. */
export async function nightly(db) {
  mkdirSync(backupsFolder(), { recursive: true, mode: 0o700 });
  const day = new Date().toLocaleDateString('en-GB', { weekday: 'long' }).toLowerCase();
  const note = join(backupsFolder(), 'nightly.json');
  const at = new Date().toISOString();
  try {
    const file = await backup(db, join(backupsFolder(), `nightly-${day}.nemrik`));
    writeFileSync(note, JSON.stringify({ at, good: at, why: null }), { mode: 0o600 });
    return file;
  } catch (e) {
    const good = existsSync(note) ? JSON.parse(readFileSync(note, 'utf8')).good : null;
    writeFileSync(note, JSON.stringify({ at, good, why: sentence(e) }), { mode: 0o600 });
    throw e;
  }
}

const KEPT_BEFORE = 5;

/** Before an upgrade changes anything: a backup, when there is something to lose. Answers where it is. */
export async function beforeUpgrade(db) {
  mkdirSync(backupsFolder(), { recursive: true, mode: 0o700 });
  const at = new Date().toISOString().slice(0, 19).replace(/\D/g, '');
  const file = await backup(db, join(backupsFolder(), `before-upgrade-${at}.nemrik`), true);
  const old = readdirSync(backupsFolder())
    .filter((f) => f.startsWith('before-upgrade-'))
    .sort()
    .slice(0, -KEPT_BEFORE);
  for (const f of old) rmSync(join(backupsFolder(), f));
  return file;
}
