import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { hashOf } from './hash.mjs';
import { local, makeLocal, root } from './paths.mjs';
import { run } from './run.mjs';
import { Stop, say } from './stop.mjs';

const stamp = (name) => join(local, `${name}.stamp`);
const same = (name, value) => existsSync(stamp(name)) && readFileSync(stamp(name), 'utf8') === value;

/** npm packages from the lock file, when they are not those already. */
export async function ensurePackages() {
  makeLocal();
  const want = hashOf(['package-lock.json', 'package.json']);
  if (existsSync(join(root, 'node_modules/.package-lock.json')) && same('npm', want)) return;
  makeLocal(700);
  say('Installing npm packages from the lock file …');
  if ((await run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'])) !== 0)
    throw new Stop(
      'The npm packages could not be installed: see the lines above. Without a network, run this once with one.'
    );
  writeFileSync(stamp('npm'), want);
}

/** Builds when anything that goes into the build has changed; answers whether it did. */
export async function ensureBuild() {
  const want = hashOf([
    'src',
    'static',
    'package-lock.json',
    'svelte.config.js',
    'vite.config.ts',
    'vite.calc.config.ts',
    'scripts/lib/core-version.mjs'
  ]);
  if (existsSync(join(root, 'build/index.js')) && same('build', want)) return false;
  say('Building …');
  for (const config of [[], ['--config', 'vite.calc.config.ts']])
    if ((await run('npx', ['vite', 'build', '--logLevel', 'error', ...config])) !== 0)
      throw new Stop('The build failed: see the lines above.');
  writeFileSync(stamp('build'), want);
  return true;
}
