import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { cluster } from './lib/cluster.mjs';
import { ensureBuild, ensurePackages } from './lib/prepare.mjs';
import { run } from './lib/run.mjs';
import { running, serve, stopServer } from './lib/serve.mjs';
import { Stop, say, sentence } from './lib/stop.mjs';

const usage = `Usage: ./nemrik demo [--fresh] [--background]   the demo workshop, ready to look at
       ./nemrik start [--background]           your own workshop, no demo data
       ./nemrik stop                           stops what this project started
       ./nemrik db                             psql on the database in use
       ./nemrik test                           every check, browser tests included`;

const main = cluster('pg', { durable: true });
const DATABASES = { demo: 'nemrik_demo', start: 'nemrik' };

/** The database to use: the one of DATABASE_URL, or one on a cluster of our own. */
async function database(mode) {
  const { ensureDatabase } = await import('./lib/database.mjs');
  if (process.env.DATABASE_URL) return process.env.DATABASE_URL;
  await main.start();
  await ensureDatabase(main.url('postgres'), DATABASES[mode]);
  return main.url(DATABASES[mode]);
}

async function startOver() {
  if (process.env.DATABASE_URL)
    throw new Stop(
      '--fresh empties only the demo database of this project; the one in DATABASE_URL is yours to empty.'
    );
  const { contents, dropDatabase } = await import('./lib/database.mjs');
  const url = await database('demo');
  const has = await contents(url);
  if (running()?.mode === 'demo') await stopServer();
  if (has) say(`Starting over: ${has.engines} engines, ${has.jobs} jobs and ${has.events} log entries of the demo go.`);
  await dropDatabase(main.url('postgres'), DATABASES.demo);
}

async function up(mode, flags) {
  await ensurePackages();
  if (flags.has('--fresh') && mode === 'demo') await startOver();
  const url = await database(mode);
  const { migrate, withClient } = await import('./lib/database.mjs');
  // asked first by ourselves: what is wrong with the connection is then said once, in our words
  await withClient(url, (c) => c.query('SELECT 1'));
  await migrate(url);
  if (mode === 'demo') await fill(url);
  const rebuilt = await ensureBuild();
  await serve(url, mode, flags.has('--background'), rebuilt);
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
  test: async () => (await import('./lib/test.mjs')).testAll(rest)
};
try {
  if (!Object.hasOwn(commands, command ?? '')) throw new Stop(usage);
  const unknown = rest.find((f) => command !== 'test' && !['--fresh', '--background'].includes(f));
  if (unknown) throw new Stop(`"${unknown}" is not known here.\n${usage}`);
  await commands[command]();
} catch (error) {
  process.stderr.write(`${sentence(error)}\n`);
  process.exitCode = 1;
}
