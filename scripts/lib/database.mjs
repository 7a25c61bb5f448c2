import pg from 'pg';
import { runner } from 'node-pg-migrate';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './paths.mjs';

/** Makes the database if it is not there. */
export async function ensureDatabase(adminUrl, name) {
  await withClient(adminUrl, async (c) => {
    const { rowCount } = await c.query('SELECT 1 FROM pg_database WHERE datname = $1', [name]);
    if (rowCount === 0) await c.query(`CREATE DATABASE ${pg.escapeIdentifier(name)}`);
  });
}

export async function dropDatabase(adminUrl, name) {
  await withClient(adminUrl, (c) => c.query(`DROP DATABASE IF EXISTS ${pg.escapeIdentifier(name)} WITH (FORCE)`));
}

/** The changes to the tables that this version knows, in their order. */
export const migrations = () =>
  readdirSync(join(root, 'migrations'))
    .filter((f) => f.endsWith('.sql'))
    .map((f) => f.replace('.sql', ''))
    .sort();

/** Applies what is not yet applied, or the first `count` of it, in one transaction; two at once wait for each other. */
export async function migrate(databaseUrl, count = Infinity) {
  const quiet = { info() {}, warn() {}, debug() {}, error: (m) => process.stderr.write(`${m}\n`) };
  return runner({
    databaseUrl,
    dir: join(root, 'migrations'),
    direction: 'up',
    migrationsTable: 'pgmigrations',
    count,
    checkOrder: true,
    singleTransaction: true,
    advisoryLockMode: 'wait',
    logger: quiet
  });
}

/** The migrations that a database does not have yet. */
export async function pending(databaseUrl) {
  const all = migrations();
  return withClient(databaseUrl, async (c) => {
    const { rows } = await c.query(`SELECT to_regclass('pgmigrations') IS NOT NULL AS there`);
    if (!rows[0].there) return all;
    const done = await c.query('SELECT name FROM pgmigrations');
    const has = new Set(done.rows.map((r) => r.name));
    return all.filter((f) => !has.has(f));
  });
}

/** What a database holds, for saying what goes; null when it has no workshop in it. */
export async function contents(databaseUrl) {
  return withClient(databaseUrl, async (c) => {
    const { rows } = await c.query(`SELECT to_regclass('event') IS NOT NULL AS there`);
    if (!rows[0].there) return null;
    const counted = await c.query(
      `SELECT (SELECT count(*)::int FROM engine) AS engines, (SELECT count(*)::int FROM job) AS jobs, (SELECT count(*)::int FROM event) AS events,
              (SELECT count(*)::int FROM person) AS people, obj_description('person'::regclass) IS NOT NULL AS demo`
    );
    return counted.rows[0];
  });
}

export async function withClient(connectionString, work) {
  const c = new pg.Client({ connectionString, connectionTimeoutMillis: 5000 });
  await c.connect();
  try {
    return await work(c);
  } finally {
    await c.end();
  }
}
