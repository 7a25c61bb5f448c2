import { query, type Queryable } from '../db/pool.ts';
import { notFound, Refusal } from '../errors.ts';

export interface Photo {
  kind: 'image/jpeg' | 'image/png';
  bytes: Buffer;
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
