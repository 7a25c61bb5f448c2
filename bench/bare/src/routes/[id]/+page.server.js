import pg from 'pg';

const pool = new pg.Pool({ connectionString: process.env.DATABASE_URL });

/** The floor to measure from: one indexed query and a page. */
export const load = async ({ params }) => ({
  row: (
    await pool.query({ name: 'bare', text: 'SELECT id, name, summary FROM engine WHERE id = $1', values: [params.id] })
  ).rows[0]
});
