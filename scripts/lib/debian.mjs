import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, writeFileSync } from 'node:fs';
import { Stop, say } from './stop.mjs';

let updated = false;

/** Installs Debian packages when this user may; otherwise stops with the command to run. */
export function install(packages, why) {
  const command = `apt-get update && apt-get install -y --no-install-recommends ${packages.join(' ')}`;
  if (process.getuid?.() !== 0 || !existsSync('/usr/bin/apt-get'))
    throw new Stop(`${why} is not installed. As root run: ${command}`);
  if (packages.includes('postgresql')) noMainCluster();
  say(`Installing ${packages.join(', ')} …`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  if (!updated) spawnSync('apt-get', ['update', '-qq'], { stdio: 'ignore', env });
  updated = true;
  const done = spawnSync('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...packages], {
    env,
    encoding: 'utf8'
  });
  if (done.status !== 0)
    throw new Stop(
      `${packages.join(', ')} could not be installed. As root run: ${command}\n${(done.stderr ?? '').trim().split('\n').at(-1)}`
    );
}

/** Debian would otherwise make and start a cluster of its own on the standard port. */
function noMainCluster() {
  mkdirSync('/etc/postgresql-common/createcluster.d', { recursive: true });
  const file = '/etc/postgresql-common/createcluster.d/nemrik-no-main.conf';
  if (!existsSync(file)) writeFileSync(file, 'create_main_cluster = false\n');
}

/** How Debian's browser is started: without a monitor, and without a word to anybody. */
export const CHROMIUM = {
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync'
  ]
};

/** The browser for tests and pictures. */
export function ensureChromium() {
  if (!existsSync(CHROMIUM.executablePath)) install(['chromium'], 'Chromium');
}
