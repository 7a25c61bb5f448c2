import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import pg from 'pg';
import { cluster } from '../scripts/lib/cluster.mjs';
import { dropDatabase, ensureDatabase, migrate } from '../scripts/lib/database.mjs';
import { root } from '../scripts/lib/paths.mjs';
import { ensureBuild } from '../scripts/lib/prepare.mjs';
import { dragCost, round, toAndFro } from './lib/drag.mjs';
import { fileCost } from './lib/file.mjs';
import { enlarge, settled, wait } from './lib/large.mjs';
import { loggingLatency } from './lib/logging.mjs';
import { scriptsOf } from './lib/scripts.mjs';
import { stolenDuring } from './lib/stolen.mjs';
import { cpuPerRequest, median, startServer } from './lib/servers.mjs';

/**
 * What must be fast, measured on this machine: npm run bench, or a part of it: npm run bench -- pages large. Floor and
 * product are measured in turns in one run, so that whatever else the machine does falls on both. Nothing here fails; it
 * prints figures beside what was asked.
 */
const line = (what, figure, asked) => console.log(`${what.padEnd(58)} ${figure.padStart(16)}   asked ${asked}`);

const db = cluster('pg', { durable: true });
await db.start();
const NAME = 'nemrik_bench';
await dropDatabase(db.url('postgres'), NAME);
await ensureDatabase(db.url('postgres'), NAME);
const DATABASE_URL = db.url(NAME);
await migrate(DATABASE_URL);
if (
  spawnSync('npx', ['tsx', 'demo/seed.ts'], { cwd: root, env: { ...process.env, DATABASE_URL }, stdio: 'inherit' })
    .status !== 0
)
  process.exit(1);
await ensureBuild();
const bareBuilt = spawnSync(join(root, 'node_modules/.bin/vite'), ['build', '--logLevel', 'error'], {
  cwd: join(root, 'bench/bare'),
  stdio: 'inherit'
});
if (bareBuilt.status !== 0) process.exit(1);
const bare = await startServer('bench/bare/build/index.js', { DATABASE_URL }, '/lock-4-pump');
const nemrik = await startServer('server/index.mjs', { DATABASE_URL }, '/api/health');
const client = new pg.Client({ connectionString: DATABASE_URL });
await client.connect();
// one and the same kind of job, whatever else the demo workshop has in hand by now
const { rows } = await client.query(
  `SELECT id FROM job WHERE sheet = 'fit-from-scratch' AND engine_id = 'lock-4-pump' ORDER BY opened_at DESC`
);
const { rows: heavy } = await client.query(`SELECT id FROM job WHERE sheet = 'recurve' ORDER BY opened_at DESC`);
const { rows: gear } = await client.query(`SELECT id FROM job WHERE sheet = 'regear' ORDER BY opened_at DESC`);
const { rows: drive } = await client.query(`SELECT id FROM job WHERE sheet = 'pedestal' ORDER BY opened_at DESC`);
const cookie = { headers: { cookie: 'nemrik-person=ines-farrow' } };

const parts = { pages, scripts, calls, logging, drags, files, core, large };
const asked = process.argv.slice(2);
try {
  for (const [name, part] of Object.entries(parts)) {
    if (asked.length > 0 && !asked.includes(name)) continue;
    const stolen = await stolenDuring(part);
    line(
      `${name}: processor time wanted and taken by others`,
      `${stolen.toFixed(1)} %`,
      '(figures by the clock carry it)'
    );
  }
} finally {
  await client.end();
  await Promise.all([nemrik.stop(), bare.stop()]);
  await dropDatabase(db.url('postgres'), NAME);
}

async function inTurns(kinds, n, rounds = 7) {
  const seen = Object.fromEntries(Object.keys(kinds).map((k) => [k, []]));
  for (let r = 0; r <= rounds; r++)
    for (const [k, { server, request }] of Object.entries(kinds)) {
      const ms = await cpuPerRequest(server, n, request);
      // the first round warms up
      if (r > 0) seen[k].push(ms);
    }
  return Object.fromEntries(Object.entries(seen).map(([k, v]) => [k, median(v)]));
}

async function pages() {
  const get = (server, path) => ({ server, request: () => fetch(server.url + path, cookie) });
  const ms = await inTurns(
    {
      bare: get(bare, '/lock-4-pump'),
      floor: get(nemrik, '/'),
      job: get(nemrik, `/jobs/${rows[0].id}`),
      drive: get(nemrik, `/jobs/${drive[0].id}`),
      recurve: get(nemrik, `/jobs/${heavy[0].id}`)
    },
    200
  );
  line('bare page, processor time a request', `${ms.bare.toFixed(2)} ms`, '(the floor)');
  line('floor page', `${ms.floor.toFixed(2)} ms, ${(ms.floor / ms.bare).toFixed(2)} x`, 'at most 3 x');
  line('job page', `${ms.job.toFixed(2)} ms, ${(ms.job / ms.bare).toFixed(2)} x`, 'at most 3 x');
  line('page of a drive job', `${ms.drive.toFixed(2)} ms, ${(ms.drive / ms.bare).toFixed(2)} x`, 'at most 3 x');
  line('page of a recurve', `${ms.recurve.toFixed(2)} ms, ${(ms.recurve / ms.bare).toFixed(2)} x`, 'at most 3 x');
}

async function scripts() {
  const all = await scriptsOf(nemrik.url, `/jobs/${rows[0].id}`, 'ines-farrow');
  const kb = (bytes) => `${(bytes / 1000).toFixed(1)} kB`;
  line('scripts of a job from scratch, gzipped', kb(all.gzipped), 'at most 100 kB');
  line('  as they are sent', kb(all.sent), '');
  for (const p of all.parts) line(`  ${p.holds}${p.files > 1 ? `, ${p.files} files` : ''}`, kb(p.gzipped), '');
  // what a job further on carries besides: the trades of the steps behind it, and of its step in hand
  const { rows: each } = await client.query(`SELECT DISTINCT ON (sheet) id, sheet FROM job ORDER BY sheet, opened_at`);
  for (const job of each) {
    const { gzipped } = await scriptsOf(nemrik.url, `/jobs/${job.id}`, 'ines-farrow');
    line(`  a job of the demo, where it stands: ${job.sheet}`, kb(gzipped), '');
  }
}

async function calls() {
  const body = JSON.stringify({ strokeMm: 92, rodMm: 171, crankDeg: -12 });
  const post = (server, path) => ({
    server,
    request: () => fetch(server.url + path, { method: 'POST', body, headers: { 'content-type': 'application/json' } })
  });
  const ms = await inTurns({ bare: post(bare, '/api'), calc: post(nemrik, '/api/calc/piston.at') }, 800);
  line('bare JSON route', `${ms.bare.toFixed(3)} ms`, '(the floor)');
  line('api/calc/piston.at', `${ms.calc.toFixed(3)} ms, ${(ms.calc / ms.bare).toFixed(2)} x`, 'at most 1.5 x');
}

async function opened(engine, sheet) {
  const id = randomUUID();
  await client.query(`INSERT INTO job (id, engine_id, sheet, opened_by) VALUES ($1, $2, $3, 'ines-farrow')`, [
    id,
    engine,
    sheet
  ]);
  return id;
}

async function logging() {
  const jobs = [];
  for (let k = 0; k < 10; k++) jobs.push(await opened('lock-4-pump', 'fit-from-scratch'));
  const t = await loggingLatency(nemrik.url, jobs, 'ines-farrow');
  line(`reading acknowledged, 20 people, ${t.n} readings: median`, `${t.p50.toFixed(1)} ms`, '');
  line('  99th percentile (longest beside it)', `${t.p99.toFixed(1)} (${t.max.toFixed(0)}) ms`, 'within 50 ms');
}

async function drags() {
  const dial = (page) => page.getByRole('slider', { name: /dial/ });
  const spring = (page) => page.locator('.bench .grip').first();
  const tooth = async (page) => {
    // phases without the work in hand are folded
    const folded = page.locator('.spine h2 button[aria-expanded=false]');
    while ((await folded.count()) > 0) await folded.first().click();
    await page
      .locator('.spine')
      .getByRole('button', { name: /contact/i })
      .first()
      .click();
    return page.locator('.handle').first();
  };
  await drag('the dial', `/jobs/${rows[0].id}`, dial, round);
  await drag('a spring', `/jobs/${heavy[0].id}`, spring, toAndFro(14, 10));
  await drag('an edge of the contact on the tooth', `/jobs/${gear[0].id}`, tooth, toAndFro(0, 24));
}

async function drag(what, path, find, way) {
  const d = await dragCost(nemrik.url, path, 'ines-farrow', find, way);
  line(`dragging ${what}, ${d.moves} moves`, `${d.perMove.toFixed(2)} ms a move`, 'within 8 ms');
  line('  of it script, style and layout', `${d.own.toFixed(2)} ms`, '');
  line('  processor time of the main thread alone', `${d.processor.toFixed(2)} ms`, '');
  line(`  a frame (${d.frames} of them)`, `${d.perFrame.toFixed(2)} ms`, '');
  const longest = d.longest.map((ms) => ms.toFixed(0)).join(' ');
  line('  longest task on each of five pages opened anew', `${longest} ms`, 'none of ours over 50 ms');
}

async function files() {
  for (const points of [60, 600]) {
    const path = `/jobs/${await opened('ropeway-winch', 'recurve')}`;
    const t = await fileCost(nemrik.url, path, 'ines-farrow', points);
    line(`a file of ${points} points logged: longest task`, `${t.clock.toFixed(0)} ms`, 'none over 50 ms');
    line('  by processor time of the main thread alone', `${t.processor.toFixed(0)} ms`, '');
  }
}

/** The demo workshop copied until it has 10,000 jobs, as a server finds it after an upgrade: nothing derived yet. */
async function large() {
  const there = await enlarge(client);
  await client.query('TRUNCATE job_line, job_figure');
  const server = await startServer('server/index.mjs', { DATABASE_URL }, '/api/health');
  try {
    const floor = await wait(`${server.url}/`, cookie, 2);
    line(
      `${there.jobs} jobs, ${there.events} events, nothing derived: first floor`,
      `${floor.first.toFixed(0)} ms`,
      'at once'
    );
    const during = await wait(`${server.url}/`, cookie);
    line('  the floor while all is worked out in the background', `${during.then.toFixed(0)} ms`, 'within 100 ms');
    const after = await settled(client);
    line('  all worked out after', after === null ? 'over 10 min' : `${after.toFixed(0)} s`, '');
    for (const [name, path] of [
      ['floor', '/'],
      ['floor, words looked for', '/?find=winch%20recurve'],
      ['engine', '/engines/ropeway-winch'],
      ['engines', '/engines'],
      ['curves', '/curves'],
      ['curves of an engine', '/curves/ropeway-winch'],
      ['job', `/jobs/${rows[0].id}`]
    ]) {
      const t = await wait(server.url + path, cookie);
      line(`  ${name}: first, then`, `${t.first.toFixed(0)}, ${t.then.toFixed(0)} ms`, 'within 100 ms');
    }
  } finally {
    server.stop();
  }
}

function core() {
  const r = spawnSync('npx', ['tsx', 'bench/core.ts'], { cwd: root, encoding: 'utf8' });
  process.stdout.write(r.stdout);
  process.stderr.write(
    r.stderr
      .split('\n')
      .filter((l) => !l.startsWith('npm warn'))
      .join('\n')
  );
  const lines = Array.from({ length: 10_000 }, (_, k) =>
    JSON.stringify({ calc: 'piston.at', in: { strokeMm: 92, rodMm: 171, crankDeg: k % 360 } })
  ).join('\n');
  const from = performance.now();
  const batch = spawnSync('npm', ['run', '-s', 'calc', '--', '--batch'], { cwd: root, input: lines, maxBuffer: 1e8 });
  const answers = batch.stdout.toString().trim().split('\n').length;
  line(`calc --batch, ${answers} light lines`, `${((performance.now() - from) / 1000).toFixed(2)} s`, 'under 5 s');
}
