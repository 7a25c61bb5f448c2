import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { cluster, free } from './cluster.mjs';
import { ensureChromium } from './debian.mjs';
import { local, root } from './paths.mjs';
import { ensureBuild, ensurePackages } from './prepare.mjs';
import { run } from './run.mjs';
import { Stop, say } from './stop.mjs';

const results = join(root, 'test-results');

/**
 * Every check: formatting, lint, types, the core with its vectors, the server against a real database, the browser.
 * A check that is not a test counts as one. Ends with "N passed, N failed" alone on a line.
 *   ./nemrik test            everything
 *   ./nemrik test core server browser checks      only those
 *   ./nemrik test reliability                     what of it takes minutes: kills, hostile requests, a full disk
 */
export async function testAll(only) {
  const known = ['checks', 'core', 'server', 'browser', 'reliability'];
  const strange = only.find((o) => !known.includes(o));
  if (strange) throw new Stop(`"${strange}" is no group of tests. There are: ${known.join(', ')}.`);
  const wanted = (name) => (only.length === 0 && name !== 'reliability') || only.includes(name);
  const total = { passed: 0, failed: 0 };
  const add = ({ passed, failed }) => {
    total.passed += passed;
    total.failed += failed;
  };
  await ensurePackages();
  rmSync(results, { recursive: true, force: true });
  mkdirSync(results, { recursive: true });
  if (wanted('checks')) {
    add(await check('formatting', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']));
    add(await check('lint', 'npx', ['eslint', '.', '--cache', '--max-warnings', '0']));
    add(
      await check('structure', 'npx', [
        'depcruise',
        'src',
        '--config',
        '.dependency-cruiser.cjs',
        '--output-type',
        'err'
      ])
    );
    add(await check('types of the core', 'npx', ['tsc', '-p', 'src/core/tsconfig.json']));
    add(await check('types and components', 'npm', ['run', '-s', 'check']));
  }
  const needsServer = wanted('server') || wanted('browser') || wanted('core') || wanted('reliability');
  if (needsServer) await ensureBuild();
  const db = cluster('pg-test', { durable: false });
  const started = [];
  try {
    if (needsServer) await db.start();
    if (wanted('core')) {
      const server = await serverFor(db, 'vectors', started);
      add(
        await vitest('core', ['--project', 'core', '--project', 'screen', '--project', 'vectors'], { CALC_URL: server })
      );
    }
    if (wanted('server')) add(await vitest('server', ['--project', 'server'], { TEST_ADMIN_URL: db.url('postgres') }));
    if (wanted('reliability')) add(await reliability(db));
    if (wanted('browser')) add(await browser(db, started));
  } finally {
    for (const s of started) s.kill('SIGTERM');
    db.stop();
  }
  say(`${total.passed} passed, ${total.failed} failed`);
  if (total.failed > 0 || total.passed === 0) process.exitCode = 1;
}

/** Everything about staying up, in full. */
const reliability = (db) =>
  vitest(
    'reliability',
    ['--project', 'server', 'tests/reliability', 'tests/server/held-up.test.ts', 'tests/server/doors.test.ts'],
    { TEST_ADMIN_URL: db.url('postgres'), RELIABILITY: 'long' }
  );

async function check(name, command, args) {
  const ok = (await run(command, args)) === 0;
  say(`${ok ? 'passed' : 'FAILED'}: ${name}`);
  return { passed: ok ? 1 : 0, failed: ok ? 0 : 1 };
}

async function vitest(name, args, env) {
  const file = join(results, `${name}.json`);
  const code = await run(
    'npx',
    ['vitest', 'run', '--reporter=default', '--reporter=json', `--outputFile.json=${file}`, ...args],
    env
  );
  if (!existsSync(file)) return { passed: 0, failed: 1 };
  const r = JSON.parse(readFileSync(file, 'utf8'));
  // a file that does not even load has no tests to fail
  const failed = r.numFailedTests || (code === 0 ? 0 : 1);
  return { passed: r.numPassedTests, failed };
}

/** The browser tests: two server processes on one empty database, and one on the demo. */
async function browser(db, started) {
  ensureChromium();
  const a = await serverFor(db, 'e2e', started);
  const b = await serverFor(db, 'e2e', started, false);
  const demo = await serverFor(db, 'e2e_demo', started);
  if ((await run('npx', ['tsx', 'demo/seed.ts'], { DATABASE_URL: db.url('e2e_demo') })) !== 0)
    throw new Stop('The demo data could not be written: see the lines above.');
  const file = join(results, 'browser.json');
  // for working on one test: TEST_GREP='by the keyboard' ./nemrik test browser
  const grep = process.env.TEST_GREP ? ['--grep', process.env.TEST_GREP] : [];
  const code = await run('npx', ['playwright', 'test', '--reporter=list,json', ...grep], {
    PLAYWRIGHT_JSON_OUTPUT_NAME: file,
    E2E_A: a,
    E2E_B: b,
    E2E_DEMO: demo,
    E2E_DATABASE_URL: db.url('e2e')
  });
  if (!existsSync(file)) return { passed: 0, failed: 1 };
  const { stats } = JSON.parse(readFileSync(file, 'utf8'));
  return { passed: stats.expected + stats.flaky, failed: stats.unexpected || (code === 0 ? 0 : 1) };
}

async function serverFor(db, name, started, fresh = true) {
  const { dropDatabase, ensureDatabase, migrate } = await import('./database.mjs');
  const { letIn } = await import('./roles.mjs');
  if (fresh) {
    await dropDatabase(db.url('postgres'), name);
    await ensureDatabase(db.url('postgres'), name);
    await migrate(db.url(name));
    await letIn(db.url(name), 'nemrik_app', db.appPassword());
  }
  let port = 24000 + (process.pid % 4000) + started.length;
  while (!(await free(port))) port += 7;
  const url = `http://127.0.0.1:${port}`;
  const env = { ...process.env, DATABASE_URL: db.appUrl(name), PORT: String(port), HOST: '127.0.0.1' };
  const child = spawn(process.execPath, [join(root, 'server/index.mjs')], {
    cwd: local,
    env,
    stdio: ['ignore', 'ignore', 'inherit']
  });
  started.push(child);
  for (let k = 0; k < 150; k++) {
    const up = await fetch(`${url}/api/health`).then(
      (r) => r.ok,
      () => false
    );
    if (up) return url;
    await new Promise((r) => setTimeout(r, 100));
  }
  throw new Stop('A server for the tests did not answer.');
}
