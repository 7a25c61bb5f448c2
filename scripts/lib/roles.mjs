import pg from 'pg';
import { withClient } from './database.mjs';

/**
 * What the application may do with each table besides reading it and adding to it. It owns nothing: the log, the data
 * sheets and the moves of the tray can be added to and never changed, whatever a request finds to slip through.
 */
const MORE = {
  // taking the next number, counting entries of a data sheet, holding a part: each a column and no more
  job: 'UPDATE (last_seq)',
  engine: 'UPDATE (sheet_version)',
  stock_item: 'UPDATE (low)',
  workshop: 'UPDATE',
  job_line: 'UPDATE, DELETE',
  job_figure: 'UPDATE, DELETE',
  job_hand: 'UPDATE, DELETE'
};

/** Lets a role use the tables of a database and nothing else. `url` is the owner's; a password makes the role anew. */
export async function letIn(url, role, password) {
  const who = pg.escapeIdentifier(role);
  await withClient(url, async (c) => {
    const { rows } = await c.query(
      'SELECT current_database() AS db, EXISTS (SELECT FROM pg_roles WHERE rolname = $1) AS there',
      [role]
    );
    const db = pg.escapeIdentifier(rows[0].db);
    await c.query('BEGIN');
    // two starts at once make it one after the other
    await c.query(`SELECT pg_advisory_xact_lock(hashtextextended('nemrik roles', 0))`);
    if (password !== undefined)
      await c.query(
        `${rows[0].there ? 'ALTER' : 'CREATE'} ROLE ${who} LOGIN NOSUPERUSER NOCREATEDB NOCREATEROLE NOREPLICATION PASSWORD ${pg.escapeLiteral(password)}`
      );
    await c.query(`REVOKE ALL ON DATABASE ${db} FROM PUBLIC; GRANT CONNECT ON DATABASE ${db} TO ${who}`);
    await c.query(`REVOKE ALL ON SCHEMA public FROM PUBLIC; GRANT USAGE ON SCHEMA public TO ${who}`);
    await c.query(`REVOKE ALL ON ALL TABLES IN SCHEMA public FROM ${who}`);
    await c.query(`GRANT SELECT, INSERT ON ALL TABLES IN SCHEMA public TO ${who}`);
    for (const [table, rights] of Object.entries(MORE)) await c.query(`GRANT ${rights} ON ${table} TO ${who}`);
    await c.query(`REVOKE ALL ON pgmigrations FROM ${who}`);
    await c.query('COMMIT');
  });
}
