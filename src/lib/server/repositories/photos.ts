import { query, type Queryable } from '../db/pool.ts';
import { notFound, Refusal } from '../errors.ts';

/** Largest photograph that is kept, bytes; the database holds to it too. */
export const LARGEST_PHOTO = 2_000_000;

export interface Photo {
  kind: 'image/jpeg' | 'image/png';
  bytes: Buffer;
}

/** How many photographs are kept: of a job, by one person in a day, and bytes of the whole workshop. */
const MOST = { job: 200, day: 300, bytes: 20e9 };

/**
 * Whether one more photograph is kept; one that is there already is no further one.
 * @throws Refusal that names the limit and what to do
 */
export async function mayKeepMore(jobId: string, id: string, byId: string): Promise<void> {
  const [n] = await query<{ there: boolean; job: number; day: number; bytes: number }>(
    'photo-count',
    `SELECT EXISTS (SELECT FROM photo WHERE id = $2) AS there,
       (SELECT count(*)::int FROM photo WHERE job_id = $1) AS job,
       (SELECT count(*)::int FROM photo WHERE by_person = $3 AND at > now() - interval '1 day') AS day,
       pg_total_relation_size('photo')::float8 AS bytes`,
    [jobId, id, byId]
  );
  const { there, job, day, bytes } = n!;
  if (there) return;
  const full = (what: string) => new Refusal(409, 'photographs-full', what, 'photo');
  if (job >= MOST.job) throw full(`This job has ${MOST.job} photographs, as many as a job keeps. What it has stays.`);
  if (day >= MOST.day)
    throw full(`You sent ${MOST.day} photographs within a day, as many as are kept. Send it tomorrow.`);
  if (bytes >= MOST.bytes)
    throw full('The workshop keeps as many photographs as there is room for. Tell whoever looks after the machine.');
}

/** Keeps a photograph of a job under an id that its sender chose; sent again it is there already. */
export async function keepPhoto(jobId: string, id: string, photo: Photo, byId: string): Promise<void> {
  const [row] = await query<{ mine: boolean }>(
    'photo-keep',
    `WITH kept AS (
       INSERT INTO photo (id, job_id, by_person, kind, bytes) VALUES ($1, $2, $3, $4, $5)
       ON CONFLICT (id) DO NOTHING RETURNING id)
     SELECT EXISTS (SELECT FROM kept) OR EXISTS (SELECT FROM photo WHERE id = $1 AND job_id = $2 AND bytes = $5) AS mine`,
    [id, jobId, byId, photo.kind, photo.bytes]
  );
  if (!row!.mine) throw new Refusal(409, 'id-taken', 'This id belongs to another photograph.', 'id');
}

export async function photoOf(jobId: string, id: string, on?: Queryable): Promise<Photo> {
  const [row] = await query<Photo>(
    'photo-of',
    'SELECT kind, bytes FROM photo WHERE id = $1 AND job_id = $2',
    [id, jobId],
    on
  );
  if (!row) throw notFound('photograph');
  return row;
}

/** Whether a job has this photograph. */
export async function hasPhoto(jobId: string, id: string, on: Queryable): Promise<boolean> {
  const rows = await query('photo-there', 'SELECT FROM photo WHERE id = $1 AND job_id = $2', [id, jobId], on);
  return rows.length === 1;
}
