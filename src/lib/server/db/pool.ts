import pg from 'pg';
import { isAway, Refusal, unavailable, unfit } from '../errors.ts';

// counts and sequence numbers here stay far below 2^53
pg.types.setTypeParser(20, Number);

/**
 * Connections of one process: with the listening one, eight processes stay within the 100 of PostgreSQL as it comes.
 * Nothing waits for ever: neither for a connection, nor for a lock, nor for an answer over a wire that is frozen.
 */
export const LIMITS = {
  connections: Number(process.env.NEMRIK_CONNECTIONS ?? 10),
  /** requests that may wait for a connection; whoever comes after them is told at once */
  queue: 200,
  connectMs: 3000,
  lockMs: 3000,
  statementMs: 8000,
  idleInTransactionMs: 8000,
  /** by our own clock, for a server or a wire that does not even answer that it was too slow */
  answerMs: 10_000
} as const;

/** How every connection of this process is made. */
export const connection = () => ({
  connectionString: process.env.DATABASE_URL,
  connectionTimeoutMillis: LIMITS.connectMs,
  statement_timeout: LIMITS.statementMs,
  lock_timeout: LIMITS.lockMs,
  idle_in_transaction_session_timeout: LIMITS.idleInTransactionMs,
  query_timeout: LIMITS.answerMs,
  keepAlive: true
});

let pool: pg.Pool | null = null;

/** The one pool of this process, made at first use so that building needs no database. */
export function getPool(): pg.Pool {
  if (pool) return pool;
  if (!process.env.DATABASE_URL)
    throw new Error('DATABASE_URL is not set: start with ./nemrik demo or ./nemrik start.');
  pool = new pg.Pool({ ...connection(), max: LIMITS.connections, idleTimeoutMillis: 60_000 });
  // an idle connection that dies is not an error of anybody's request
  pool.on('error', () => {});
  return pool;
}

export async function closePool(): Promise<void> {
  await pool?.end();
  pool = null;
}

export type Queryable = Pick<pg.Pool, 'query'>;

/** What a caller is told of an error of the database: it is in trouble, or the value is; else the error as it is. */
const told = (e: unknown): unknown => (e instanceof Refusal ? e : isAway(e) ? unavailable(e) : (unfit(e) ?? e));

function mustHaveRoom(): void {
  if ((pool?.waitingCount ?? 0) >= LIMITS.queue) throw unavailable(new Error('too many wait'), 'busy');
}

/** One named statement: parsed once a connection. A database that is away becomes a refusal the screen understands. */
export async function query<Row extends pg.QueryResultRow>(
  name: string,
  text: string,
  values: unknown[] = [],
  on?: Queryable
): Promise<Row[]> {
  if (!on) mustHaveRoom();
  try {
    return (await (on ?? getPool()).query<Row>({ name, text, values })).rows;
  } catch (e) {
    throw told(e);
  }
}

/** Runs `work` in one transaction on one connection. Two that wait for each other: one goes back and tries once more. */
export async function withTransaction<T>(work: (client: Queryable) => Promise<T>): Promise<T> {
  try {
    return await transaction(work);
  } catch (e) {
    if (!AGAIN.has(codeOf(e) ?? '')) throw e;
    return transaction(work);
  }
}
// a deadlock, or two that could not be put in an order
const AGAIN = new Set(['40P01', '40001']);
const codeOf = (e: unknown) => ((e as { cause?: { code?: string } }).cause ?? (e as { code?: string })).code;

async function transaction<T>(work: (client: Queryable) => Promise<T>): Promise<T> {
  mustHaveRoom();
  let client: pg.PoolClient;
  try {
    client = await getPool().connect();
  } catch (e) {
    throw told(e);
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
    // a wire that does not answer is not asked to go back either
    if (/Query read timeout/.test(String((e as { cause?: Error }).cause ?? e))) broken ??= new Error('no answer');
    else await client.query('ROLLBACK').catch((err: Error) => (broken = err));
    throw told(e);
  } finally {
    client.off('error', died);
    client.release(broken);
  }
}
