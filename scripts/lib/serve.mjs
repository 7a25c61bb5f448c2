import { spawn } from 'node:child_process';
import { existsSync, openSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { free } from './cluster.mjs';
import { local, root } from './paths.mjs';
import { Stop, say } from './stop.mjs';

const file = join(local, 'server.json');

/** The server this project started, if it still runs. */
export function running() {
  if (!existsSync(file)) return null;
  const s = JSON.parse(readFileSync(file, 'utf8'));
  try {
    const argv = readFileSync(`/proc/${s.pid}/cmdline`, 'utf8');
    return argv.includes(join(root, 'build/index.js')) ? s : null;
  } catch {
    return null;
  }
}

/** Serves until interrupted; with `background` leaves the server running and returns once it answers. */
export async function serve(databaseUrl, mode, background, rebuilt = false) {
  const port = Number(process.env.PORT ?? 4170);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Stop(`PORT is "${process.env.PORT}"; it must be a number from 1 to 65535.`);
  let already = running();
  // a server whose build was replaced under it would fail at the next page: the new build takes its place
  if (already && rebuilt && already.mode === mode) {
    await ended(already.pid);
    already = null;
  }
  if (already) {
    if (already.mode === mode) return say(`Already serving at http://127.0.0.1:${already.port}`);
    throw new Stop(
      `A server of this project already runs (${already.mode}, port ${already.port}). Stop it first: ./nemrik stop`
    );
  }
  if (!(await free(port)))
    throw new Stop(`Port ${port} is in use by another program. Choose another: PORT=${port + 1} ./nemrik ${mode}`);
  const origin = process.env.ORIGIN ?? `http://127.0.0.1:${port}`;
  const env = {
    ...process.env,
    DATABASE_URL: databaseUrl,
    PORT: String(port),
    HOST: process.env.HOST ?? '127.0.0.1',
    ORIGIN: origin,
    NODE_ENV: 'production'
  };
  const log = background ? openSync(join(local, 'server.log'), 'a') : null;
  const child = spawn(process.execPath, [join(root, 'build/index.js')], {
    cwd: root,
    env,
    detached: background,
    stdio: background ? ['ignore', log, log] : ['ignore', 'ignore', 'inherit']
  });
  writeFileSync(file, JSON.stringify({ pid: child.pid, port, mode }));
  const gone = new Promise((r) => child.on('exit', (code) => r(code ?? 0)));
  await Promise.race([
    answers(`http://127.0.0.1:${port}/api/health`),
    gone.then((code) => {
      rmSync(file, { force: true });
      throw new Stop(`The server ended at once (code ${code}).${background ? ' Its log is .local/server.log.' : ''}`);
    })
  ]);
  say(`Nemrik is at http://127.0.0.1:${port}`);
  if (background) return child.unref();
  say('Ctrl-C ends the server; the database goes on until ./nemrik stop.');
  for (const s of ['SIGINT', 'SIGTERM']) process.on(s, () => child.kill('SIGTERM'));
  await gone;
  rmSync(file, { force: true });
}

/** Ends a server of this project and waits until it is gone. */
async function ended(pid) {
  process.kill(pid, 'SIGTERM');
  for (let k = 0; k < 100 && running(); k++) await new Promise((r) => setTimeout(r, 100));
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
  throw new Stop('The server did not answer within 15 seconds.');
}

export async function stopServer() {
  const s = running();
  if (!s) return false;
  process.kill(s.pid, 'SIGTERM');
  for (let k = 0; k < 60 && existsSync(`/proc/${s.pid}`); k++) await new Promise((r) => setTimeout(r, 100));
  rmSync(file, { force: true });
  return true;
}
