import { closePool } from '../src/lib/server/db/pool.ts';
import { rebuild } from '../src/lib/server/jobs/derive.ts';

/** Works all derived rows out again from the logs: npm run rebuild, with DATABASE_URL set. */
const n = await rebuild((done, total) => process.stdout.isTTY && process.stdout.write(`\r${done} of ${total}`));
process.stdout.write(`${process.stdout.isTTY ? '\n' : ''}Rebuilt ${n} jobs.\n`);
await closePool();
