import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { cluster } from './lib/cluster.mjs';
import { ensureBuild, ensurePackages } from './lib/prepare.mjs';
import { run } from './lib/run.mjs';
import { databaseOf, DATABASES, running, serve, stopServer } from './lib/serve.mjs';
import { Stop, say, sentence } from './lib/stop.mjs';

const usage = `Usage: ./nemrik demo [--fresh] [--background]   the demo workshop, ready to look at
       ./nemrik start [--background]           your own workshop, no demo data
       ./nemrik stop                           stops what this project started
       ./nemrik backup FILE                    the workshop in one file, read back and compared
       ./nemrik restore FILE [--yes]           puts a backup in its place, after asking
       ./nemrik service [FOLDER]               writes the units that keep it up and back it up every night
       ./nemrik db                             psql on the database in use
       ./nemrik test                           every check, browser tests included`;

const main = cluster('pg', { durable: true });

async function startOver() {
  if (process.env.DATABASE_URL)
    throw new Stop(
      '--fresh empties only the demo database of this project; the one in DATABASE_URL is yours to empty.'
    );
  const { contents, dropDatabase } = await import('./lib/database.mjs');
  const db = await ready('demo');
  const has = await contents(db.url());
  if (running()?.mode === 'demo') await stopServer();
  if (has) say(`Starting over: ${has.engines} engines, ${has.jobs} jobs and ${has.events} log entries of the demo go.`);
  await dropDatabase(main.url('postgres'), DATABASES.demo);
}

/** The database of a mode, started and there. */
async function ready(mode) {
  const db = databaseOf(mode);
  await db.start();
  if (db.own) await (await import('./lib/database.mjs')).ensureDatabase(main.url('postgres'), db.name);
  return db;
}

async function up(mode, flags) {
  await ensurePackages();
  if (flags.has('--fresh') && mode === 'demo') await startOver();
  const db = await ready(mode);
  const { withClient } = await import('./lib/database.mjs');
  // asked first by ourselves: what is wrong with the connection is then said once, in our words
  await withClient(db.url(), (c) => c.query('SELECT 1'));
  await upgrade(db, mode);
  if (mode === 'demo') await fill(db.url());
  await openDoor(db);
  await serve(mode, flags.has('--background'), await ensureBuild());
}

/** Brings the tables up to this version, all of it or nothing; a workshop of one's own is backed up first. */
async function upgrade(db, mode) {
  const { contents, migrate, pending } = await import('./lib/database.mjs');
  const steps = await pending(db.url());
  if (steps.length === 0) return;
  const has = await contents(db.url());
  let kept = null;
  if (mode === 'start' && has?.people) {
    if (db.own) kept = await (await import('./lib/backup.mjs')).beforeUpgrade(db);
    say(`Upgrading the workshop (${steps.join(', ')})${kept ? `; it was backed up to ${kept}` : ''} …`);
  }
  try {
    await migrate(db.url());
  } catch (e) {
    if (!has) throw e;
    throw new Stop(
      `The upgrade did not succeed and was taken back whole: the workshop is as it was${kept ? ` (its backup is ${kept})` : ''}. What went wrong: ${e.message}`
    );
  }
}

/** The application's own role, which owns nothing. In a foreign database it is given its rights only where an owner is named. */
async function openDoor(db) {
  const { letIn } = await import('./lib/roles.mjs');
  if (db.own) await letIn(db.url(), 'nemrik_app', main.appPassword());
  else if (process.env.MIGRATE_URL) await letIn(db.url(), decodeURIComponent(new URL(db.appUrl()).username));
}

/** Puts the demo workshop into a database that has none. */
async function fill(url) {
  const { contents, dropDatabase, ensureDatabase, migrate } = await import('./lib/database.mjs');
  const has = await contents(url);
  if (has.demo) return;
  if (has.people > 0 && process.env.DATABASE_URL)
    throw new Stop(
      'The database in DATABASE_URL holds a workshop already: demo data is not mixed into it. Use ./nemrik start, or another database.'
    );
  if (has.people > 0) {
    // an earlier filling was cut short
    await dropDatabase(main.url('postgres'), DATABASES.demo);
    await ensureDatabase(main.url('postgres'), DATABASES.demo);
    await migrate(url);
  }
  say('Filling the demo workshop …');
  if ((await run('npx', ['tsx', 'demo/seed.ts'], { DATABASE_URL: url })) !== 0)
    throw new Stop('The demo data could not be written: see the lines above.');
}

async function psql() {
  const url = process.env.DATABASE_URL ?? main.url(DATABASES[running()?.mode ?? 'demo']);
  if (!process.env.DATABASE_URL) await main.start();
  const u = new URL(url);
  // the password goes by the environment: on the command line anyone could read it
  const env = { ...process.env, PGPASSWORD: decodeURIComponent(u.password) };
  const args = ['-h', u.hostname, '-p', u.port || '5432', '-U', decodeURIComponent(u.username), u.pathname.slice(1)];
  process.exitCode = spawnSync(join(main.bin(), 'psql'), args, { stdio: 'inherit', env }).status ?? 1;
}

/** The workshop that is meant by backup and restore: the one served now, else one's own. */
const mine = () => ready(running()?.mode ?? 'start');

async function backUp(rest, flags) {
  await ensurePackages();
  const { backup, nightly } = await import('./lib/backup.mjs');
  const [file] = rest.filter((r) => !r.startsWith('--'));
  if (!file && !flags.has('--nightly')) throw new Stop('Name the file: ./nemrik backup workshop.nemrik');
  const db = await mine();
  await (flags.has('--nightly') ? nightly(db) : backup(db, file));
}

async function putBack(rest, flags) {
  await ensurePackages();
  const [file] = rest.filter((r) => !r.startsWith('--'));
  if (!file) throw new Stop('Name the file: ./nemrik restore workshop.nemrik');
  if (process.env.DATABASE_URL)
    throw new Stop('A database in DATABASE_URL is not replaced from here: unset it, restore, and lead its data over.');
  await (await import('./lib/backup.mjs')).restore(await mine(), file, { yes: flags.has('--yes') });
}

async function service([folder]) {
  (await import('./lib/service.mjs')).writeService(folder);
}

async function stop() {
  const server = await stopServer();
  const db = main.stop();
  cluster('pg-test', { durable: false }).stop();
  say(
    server || db
      ? `Stopped: ${[server && 'the server', db && 'the database'].filter(Boolean).join(' and ')}.`
      : 'Nothing of this project was running.'
  );
}

const [command, ...rest] = process.argv.slice(2);
const flags = new Set(rest);
const commands = {
  demo: () => up('demo', flags),
  start: () => up('start', flags),
  stop,
  db: psql,
  backup: () => backUp(rest, flags),
  restore: () => putBack(rest, flags),
  service: () => service(rest),
  test: async () => (await import('./lib/test.mjs')).testAll(rest)
};
try {
  if (!Object.hasOwn(commands, command ?? '')) throw new Stop(usage);
  const takesNames = ['test', 'backup', 'restore', 'service'].includes(command);
  const unknown = rest.find(
    (f) =>
      command !== 'test' &&
      (f.startsWith('--') ? !['--fresh', '--background', '--yes', '--nightly'].includes(f) : !takesNames)
  );
  if (unknown) throw new Stop(`"${unknown}" is not known here.\n${usage}`);
  await commands[command]();
} catch (error) {
  process.stderr.write(`${sentence(error)}\n`);
  process.exitCode = 1;
}
