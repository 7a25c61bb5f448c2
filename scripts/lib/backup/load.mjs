import { pipeline } from 'node:stream/promises';
import pg from 'pg';
import { from as copyFrom } from 'pg-copy-streams';
import { migrate, withClient } from '../database.mjs';
import { Stop } from '../stop.mjs';
import { digest, tablesOf } from './tables.mjs';

/** It can add rows to the tables of a database that is read back, and nothing else. */
const READER = 'nemrik_reading_back';
const id = pg.escapeIdentifier;

/** Refuses an archive whose tables this version cannot make: one of a newer version, or of another history. */
export function mustBeOurs({ manifest }, known, file) {
  const newer = manifest.migrations.filter((m) => !known.includes(m));
  if (newer.length > 0)
    throw new Stop(
      `${file} was written by a newer version of Nemrik (${manifest.app}), whose tables this one does not know (${newer.join(', ')}). Install that version first, then restore. Nothing was changed.`
    );
  if (manifest.migrations.some((m, k) => m !== known[k]) || manifest.migrations.length === 0)
    throw new Stop(`${file} is no backup of Nemrik’s: its tables have another history. Nothing was changed.`);
}

/**
 * Puts the data of an archive into an empty database. The tables are made by our own migrations, as far as they went when the
 * archive was written; the rows are taken in by a role that can do nothing but add rows to these tables.
 * @returns once every table has as many rows, with the same digest, as the database that was backed up
 */
export async function load(url, archive, file) {
  const { manifest } = archive;
  const no = (why) => new Stop(`${file} is no backup of Nemrik’s: ${why}. Nothing was changed.`);
  await migrate(url, manifest.migrations.length);
  await withClient(url, async (c) => {
    const there = new Map((await tablesOf(c)).map((t) => [t.name, t.columns]));
    const said = new Map(manifest.tables.map((t) => [t.name, t]));
    for (const [t, columns] of there)
      if ([...(said.get(t)?.columns ?? [])].sort().join() !== [...columns].sort().join())
        throw no(`${t} has other columns than its version`);
    for (const t of said.keys()) if (!there.has(t)) throw no(`it holds ${t}, which its version does not have`);
    const tables = [...there.keys()];
    await c.query(`SET TIME ZONE 'UTC'`);
    await c.query('BEGIN');
    await readerOf(c, tables);
    // they count and tell what is new: what is read back was counted already
    for (const t of tables) await c.query(`ALTER TABLE ${t} DISABLE TRIGGER USER`);
    await c.query(`TRUNCATE ${tables.join(', ')}`);
    await c.query(`SET LOCAL ROLE ${READER}`);
    for (const t of tables) {
      const columns = said.get(t).columns.map(id).join(', ');
      await pipeline(await archive.open(t), c.query(copyFrom(`COPY ${t} (${columns}) FROM STDIN`))).catch((e) => {
        throw no(`${t} does not fit its table (${e.code ?? e.message})`);
      });
    }
    await c.query('RESET ROLE');
    for (const t of tables) await c.query(`ALTER TABLE ${t} ENABLE TRIGGER USER`);
    await c.query(
      `REVOKE ALL ON ALL TABLES IN SCHEMA public FROM ${READER}; REVOKE ALL ON SCHEMA public FROM ${READER}`
    );
    await countOn(c, tables);
    await c.query('COMMIT');
    for (const t of tables) {
      const now = await digest(c, t);
      if (now.rows !== said.get(t).rows || now.digest !== said.get(t).digest)
        throw no(`${t} is not what it was when it was written`);
    }
  });
}

async function readerOf(c, tables) {
  const { rowCount } = await c.query('SELECT 1 FROM pg_roles WHERE rolname = $1', [READER]);
  if (rowCount === 0) await c.query(`CREATE ROLE ${READER} NOLOGIN NOSUPERUSER NOCREATEDB NOCREATEROLE NOREPLICATION`);
  await c.query(`GRANT ${READER} TO CURRENT_USER`);
  await c.query(`GRANT USAGE ON SCHEMA public TO ${READER}`);
  await c.query(`GRANT INSERT ON ${tables.join(', ')} TO ${READER}`);
}

/** Rows that come later are numbered on from those that were read back. */
async function countOn(c, tables) {
  const { rows } = await c.query(
    `SELECT table_name AS t, column_name AS col FROM information_schema.columns
     WHERE table_schema = 'public' AND is_identity = 'YES' AND table_name = ANY ($1)`,
    [tables]
  );
  for (const { t, col } of rows)
    await c.query(
      `SELECT setval(pg_get_serial_sequence('${t}', '${col}'), greatest(1, (SELECT coalesce(max(${id(col)}), 0) + 1 FROM ${t})), false)`
    );
}
