import { error } from '@sveltejs/kit';
import { isAway, Refusal } from './errors.ts';

/** For page loads: a refusal becomes the error page with its own sentence. */
export async function orError<T>(work: Promise<T>): Promise<T> {
  try {
    return await work;
  } catch (e) {
    if (e instanceof Refusal) error(e.status, { message: e.message, code: e.code });
    if (isAway(e))
      error(503, {
        message: 'The database does not answer. Try again in a moment; nothing is lost.',
        code: 'database-away'
      });
    throw e;
  }
}
