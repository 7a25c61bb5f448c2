import { closePool, getPool } from '../src/lib/server/db/pool.ts';
import { fillDemo } from './fill.ts';

await fillDemo();
// the mark by which a half-filled demo is told from a whole one
await getPool().query(`COMMENT ON TABLE person IS 'demo workshop, complete'`);
await closePool();
