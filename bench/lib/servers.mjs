import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { free } from '../../scripts/lib/cluster.mjs';
import { root } from '../../scripts/lib/paths.mjs';

/** Starts a built server on a free port and waits until it answers. */
export async function startServer(entry, env, path) {
  let port = 27000 + (process.pid % 2000);
  while (!(await free(port))) port += 3;
  const url = `http://127.0.0.1:${port}`;
  const child = spawn(process.execPath, [join(root, entry)], {
    env: { ...process.env, ...env, PORT: String(port), HOST: '127.0.0.1', ORIGIN: url, NODE_ENV: 'production' },
    stdio: ['ignore', 'ignore', 'inherit']
  });
  // whatever ends the bench, no server is left behind
  process.once('exit', () => child.kill('SIGKILL'));
  for (let k = 0; k < 100; k++) {
    if (
      await fetch(url + path).then(
        (r) => r.status < 500,
        () => false
      )
    )
      return { url, pid: child.pid, stop: () => stop(child) };
    await new Promise((r) => setTimeout(r, 100));
  }
  throw new Error(`${entry} did not answer`);
}

/** Asks a server to go and waits until it has gone; one that still holds its database then is not asked twice. */
async function stop(child) {
  const gone = new Promise((r) => child.once('exit', r));
  child.kill('SIGTERM');
  const late = setTimeout(() => child.kill('SIGKILL'), 2000);
  await gone;
  clearTimeout(late);
}

/** Processor time of a process so far, user and system, in milliseconds. */
export function cpuMs(pid) {
  const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1].split(' ');
  return (Number(fields[11]) + Number(fields[12])) * 10;
}

export const median = (xs) => xs.toSorted((a, b) => a - b)[xs.length >> 1];
export const percentile = (xs, p) =>
  xs.toSorted((a, b) => a - b)[Math.min(xs.length - 1, Math.ceil(xs.length * p) - 1)];

/** Processor time a request, in milliseconds, over `n` requests of a server. */
export async function cpuPerRequest(server, n, request) {
  const before = cpuMs(server.pid);
  for (let k = 0; k < n; k += 4) await Promise.all([0, 1, 2, 3].map(() => request().then((r) => r.arrayBuffer())));
  return (cpuMs(server.pid) - before) / n;
}
