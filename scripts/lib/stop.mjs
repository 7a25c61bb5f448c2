/** A reason to stop that the person at the keyboard can act on: one sentence, no stack. */
export class Stop extends Error {}

export const say = (text) => process.stdout.write(`${text}\n`);

/** Turns what went wrong into one clear sentence. */
export function sentence(error) {
  if (error instanceof Stop) return error.message;
  if (error?.code === 'ENOSPC') return 'The disk is full: free some space and run this again.';
  if (error?.code === 'ECONNREFUSED')
    return 'The database does not answer: is its server running, and is DATABASE_URL right?';
  if (error?.code === '28P01') return 'The database refuses the password in DATABASE_URL.';
  if (error?.code === '3D000') return `The database server is there, but not the database: ${error.message}.`;
  if (error?.code === 'ENOTFOUND' || error?.code === 'ETIMEDOUT')
    return 'The database server in DATABASE_URL cannot be reached.';
  return error?.stack ?? String(error);
}
