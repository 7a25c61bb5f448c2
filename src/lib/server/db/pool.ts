import pg from 'pg';
import { isAway, unavailable } from '../errors.ts';

// counts and sequence numbers here stay far below 2^53
pg.types.setTypeParser(20, Number);

let pool: pg.Pool | null = null;

/** The one pool of this process, made at first use so that building needs no database. */
export function getPool(): pg.Pool {
  if (pool) return pool;
  const connectionString = process.env.DATABASE_URL;
  if (!connectionString) throw new Error('DATABASE_URL is not set: start with ./nemrik demo or ./nemrik start.');
  pool = new pg.Pool({ connectionString, max: 12, connectionTimeoutMillis: 3000, idleTimeoutMillis: 60_000 });
  // an idle connection that dies is not an error of anybody's request
  pool.on('error', () => {});
  return pool;
}

export async function closePool(): Promise<void> {
  await pool?.end();
  pool = null;
}

export type Queryable = Pick<pg.Pool, 'query'>;

/** One named statement: parsed once a connection. A database that is away becomes a refusal the screen understands. */
export async function query<Row extends pg.QueryResultRow>(
  name: string,
  text: string,
  values: unknown[] = [],
  on: Queryable = getPool()
): Promise<Row[]> {
  try {
    return (await on.query<Row>({ name, text, values })).rows;
  } catch (e) {
    throw isAway(e) ? unavailable(e) : e;
  }
}

/** Runs `work` in one transaction on one connection. */
export async function withTransaction<T>(work: (client: Queryable) => Promise<T>): Promise<T> {
  let client: pg.PoolClient;
  try {
    client = await getPool().connect();
  } catch (e) {
    throw isAway(e) ? unavailable(e) : e;
  }
  let broken: Error | undefined;
  // the pool listens only to clients that are idle: one that dies in the middle would end the process
  const died = (e: Error) => void (broken = e);
  client.on('error', died);
  try {
    await client.query('BEGIN');
    const out = await work(client);
    await client.query('COMMIT');
    return out;
  } catch (e) {
    await client.query('ROLLBACK').catch((err: Error) => (broken = err));
    throw isAway(e) ? unavailable(e) : e;
  } finally {
    client.off('error', died);
    client.release(broken);
  }
}
