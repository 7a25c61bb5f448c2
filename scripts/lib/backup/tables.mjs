import { createHash } from 'node:crypto';

/** What a workshop consists of, in an order in which each table comes after those it refers to. */
const OWN = [
  'person',
  'workshop',
  'engine',
  'sheet_value',
  'gauge',
  'job',
  'stock_item',
  'stock_move',
  'event',
  'photo'
];
/** What is worked out from it: kept as well, so that a floor is whole at once. */
const DERIVED = ['job_line', 'job_figure', 'job_hand'];
export const TABLES = [...OWN, ...DERIVED];

/** The tables of a database that a backup holds, with the columns that are written; an older version may have fewer. */
export async function tablesOf(c) {
  const { rows } = await c.query(
    `SELECT table_name AS name, array_agg(column_name::text ORDER BY ordinal_position) AS columns
     FROM information_schema.columns WHERE table_schema = 'public' AND table_name = ANY ($1) AND is_generated = 'NEVER'
     GROUP BY table_name`,
    [TABLES]
  );
  const found = new Map(rows.map((r) => [r.name, r.columns]));
  return TABLES.filter((t) => found.has(t)).map((t) => ({ name: t, columns: found.get(t) }));
}

/** The changes to the tables that were made in a database, in their order. */
export const migrationsOf = async (c) =>
  (await c.query('SELECT name FROM pgmigrations ORDER BY id')).rows.map((r) => r.name);

/** Tables of these that no backup would hold: one was added, and this list was not. */
export async function unlisted(c) {
  const { rows } = await c.query(
    `SELECT table_name AS name FROM information_schema.tables WHERE table_schema = 'public' AND table_type = 'BASE TABLE'`
  );
  return rows.map((r) => r.name).filter((t) => t !== 'pgmigrations' && !TABLES.includes(t));
}

/** How many rows a table has, and a digest over all of them, whatever order they stand in. */
export async function digest(c, table) {
  // hashes of rows are put together here and not in the database, which would hold all of them in one text
  const { rows } = await c.query(`SELECT md5(x::text) AS h FROM ${table} x ORDER BY 1`);
  const sum = createHash('md5');
  for (const r of rows) sum.update(r.h);
  return { rows: rows.length, digest: rows.length === 0 ? '' : sum.digest('hex') };
}
