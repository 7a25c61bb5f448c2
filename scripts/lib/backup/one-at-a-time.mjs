import { randomBytes } from 'node:crypto';
import pg from 'pg';
import { dropDatabase } from '../database.mjs';
import { say } from '../stop.mjs';

const BESIDE = '_reading_back_';

/**
 * Does work that reads a backup back into a database beside the workshop's: one at a time, by a lock that ends with whoever
 * holds it. What an earlier one left behind when it was killed is dropped first.
 * @param adminUrl a database that is neither replaced nor dropped meanwhile; the lock is held there
 * @param name the workshop's database
 * @param work gets the name of a database of its own, which is dropped afterwards unless it took another name
 */
export async function oneAtATime(adminUrl, name, work) {
  const c = new pg.Client({ connectionString: adminUrl, connectionTimeoutMillis: 5000 });
  await c.connect();
  try {
    const lock = `hashtextextended('nemrik backup ' || $1, 0)`;
    const { rows } = await c.query(`SELECT pg_try_advisory_lock(${lock}) AS got`, [name]);
    if (!rows[0].got) {
      say('Another backup or restore of this workshop is at work: this one begins when that one has ended …');
      await c.query(`SELECT pg_advisory_lock(${lock})`, [name]);
    }
    const left = await c.query('SELECT datname FROM pg_database WHERE starts_with(datname, $1)', [name + BESIDE]);
    for (const r of left.rows) await dropDatabase(adminUrl, r.datname);
    const scratch = `${name}${BESIDE}${randomBytes(6).toString('hex')}`;
    try {
      return await work(scratch);
    } finally {
      await dropDatabase(adminUrl, scratch);
    }
  } finally {
    // the lock goes with the connection
    await c.end().catch(() => {});
  }
}
