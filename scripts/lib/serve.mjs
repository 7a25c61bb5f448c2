import { spawn } from 'node:child_process';
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { cluster, free } from './cluster.mjs';
import { local, root } from './paths.mjs';
import { Stop, say } from './stop.mjs';

const file = join(local, 'server.json');
const SUPERVISOR = join(root, 'scripts/supervisor.mjs');
export const LOG = process.env.NEMRIK_LOG ?? join(local, 'server.log');
export const DATABASES = { demo: 'nemrik_demo', start: 'nemrik' };

/** The database of a mode: on a cluster of our own, or where DATABASE_URL says, which is then nobody's but the user's. */
export function databaseOf(mode) {
  const url = process.env.DATABASE_URL;
  if (url) {
    const owner = process.env.MIGRATE_URL ?? url;
    return {
      own: false,
      name: new URL(owner).pathname.slice(1),
      url: () => owner,
      appUrl: () => url,
      start: async () => {}
    };
  }
  const main = cluster('pg', { durable: true });
  const name = DATABASES[mode];
  return {
    own: true,
    name,
    main,
    url: () => main.url(name),
    appUrl: () => main.appUrl(name),
    alive: main.alive,
    start: main.start
  };
}

/** Where a server is asked for itself: at the address it listens on, or at loopback when it listens everywhere. */
export function addressFor({ HOST, PORT }) {
  const host = !HOST || HOST === '0.0.0.0' || HOST === '::' ? '127.0.0.1' : HOST;
  return `http://${host.includes(':') ? `[${host}]` : host}:${PORT}`;
}

/** What this project serves, if it still does. */
export function running() {
  if (!existsSync(file)) return null;
  const s = JSON.parse(readFileSync(file, 'utf8'));
  try {
    const argv = readFileSync(`/proc/${s.pid}/cmdline`, 'utf8');
    // one that an earlier version started without a supervisor is ours too
    return argv.includes(SUPERVISOR) || argv.includes(join(root, 'build/index.js')) ? s : null;
  } catch {
    return null;
  }
}

/** Ports above 1023 of other protocols, which the fetch standard bars. */
const REFUSED_BY_BROWSERS = new Set([
  1719, 1720, 1723, 2049, 3659, 4045, 4190, 5060, 5061, 6000, 6566, 6665, 6666, 6667, 6668, 6669, 6679, 6697, 10080
]);

function portAsked() {
  const port = Number(process.env.PORT ?? 4170);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Stop(`PORT is "${process.env.PORT}"; it must be a number from 1 to 65535.`);
  if (REFUSED_BY_BROWSERS.has(port))
    throw new Stop(`Browsers open no page at port ${port}. Choose another: PORT=${port + 7}.`);
  return port;
}

/** Serves until interrupted; with `background` leaves the supervisor running and returns once the server answers. */
export async function serve(mode, background, rebuilt = false) {
  const port = portAsked();
  const host = process.env.HOST || '127.0.0.1';
  const { originsIn } = await import('../../server/hosts.mjs');
  try {
    originsIn(process.env.ORIGIN);
  } catch (e) {
    throw new Stop(e.message);
  }
  let already = running();
  // a server whose build was replaced under it would fail at the next page: the new build takes its place
  if (already && rebuilt && already.mode === mode) {
    await stopServer();
    already = null;
  }
  if (already) {
    if (already.mode === mode) return say(`Already serving at ${already.url ?? `http://127.0.0.1:${already.port}`}`);
    throw new Stop(
      `A server of this project already runs (${already.mode}, port ${already.port}). Stop it first: ./nemrik stop`
    );
  }
  const ready = await free(port, host);
  if (ready === 'no such address')
    throw new Stop(`This machine has no address ${host}: set HOST to one of its own, or to 0.0.0.0 for all of them.`);
  if (!ready)
    throw new Stop(`Port ${port} is in use by another program. Choose another: PORT=${port + 1} ./nemrik ${mode}`);
  const env = { ...process.env, PORT: String(port), HOST: host };
  const url = addressFor(env);
  const child = spawn(process.execPath, [SUPERVISOR, mode, background ? 'background' : 'foreground'], {
    cwd: root,
    env,
    detached: true,
    stdio: ['ignore', 'ignore', background ? 'ignore' : 'inherit']
  });
  writeFileSync(file, JSON.stringify({ pid: child.pid, port, mode, url }));
  const gone = new Promise((r) => child.on('exit', (code) => r(code ?? 0)));
  const ended = gone.then((code) => {
    rmSync(file, { force: true });
    throw new Stop(`The server ended at once (code ${code}). Its log is .local/server.log.`);
  });
  ended.catch(() => {});
  try {
    await Promise.race([answers(`${url}/api/health`), ended]);
  } catch (e) {
    child.kill('SIGTERM');
    throw e;
  }
  say(`Nemrik is at ${url}`);
  if (background) return child.unref();
  say('Ctrl-C ends the server; the database goes on until ./nemrik stop.');
  for (const s of ['SIGINT', 'SIGTERM']) process.on(s, () => child.kill('SIGTERM'));
  await gone;
  rmSync(file, { force: true });
}

async function answers(url) {
  for (let k = 0; k < 150; k++) {
    try {
      if ((await fetch(url)).ok) return;
    } catch {
      /* not up yet */
    }
    await new Promise((r) => setTimeout(r, 100));
  }
  throw new Stop('The server did not answer within 15 seconds. Its log is .local/server.log.');
}

/** Ends what is served here and waits until it is gone; it has some seconds, whatever its clients do. */
export async function stopServer() {
  const s = running();
  if (!s) return false;
  process.kill(s.pid, 'SIGTERM');
  for (let k = 0; k < 80 && existsSync(`/proc/${s.pid}`); k++) await new Promise((r) => setTimeout(r, 100));
  rmSync(file, { force: true });
  return true;
}
