import { query } from '../db/pool.ts';

/** The time zone of the workshop, as it was chosen; null while nobody has. */
export async function timeZone(): Promise<string | null> {
  const [row] = await query<{ zone: string }>('workshop-zone', 'SELECT time_zone AS zone FROM workshop');
  return row?.zone ?? null;
}

export const setTimeZone = (zone: string) =>
  query(
    'workshop-zone-set',
    `INSERT INTO workshop (single, time_zone) VALUES (true, $1) ON CONFLICT (single) DO UPDATE SET time_zone = excluded.time_zone`,
    [zone]
  );

/** Asks the database for nothing: throws when it does not answer. */
export const databaseAnswers = () => query('ready', 'SELECT 1');
