import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';

/** What the backup of the night leaves beside its files: when it was tried, when it last succeeded, and why it did not. */
const note = z.object({ at: z.iso.datetime(), good: z.iso.datetime().nullable(), why: z.string().nullable() });

/** A backup a night: one that is older than this was left out at least once. */
const OLD_MS = 2 * 86_400_000;
const day = (iso: string): string => `${iso.slice(0, 10)} ${iso.slice(11, 16)} UTC`;

/**
 * What is the matter with the backup of the night, in a sentence; null where it succeeded in time, or none was ever tried here.
 * @param folder where the backups are kept; left out, as the supervisor says
 */
export function nightlyTrouble(now: Date, folder = process.env.NEMRIK_BACKUPS): string | null {
  if (!folder) return null;
  let text: string;
  try {
    text = readFileSync(join(folder, 'nightly.json'), 'utf8');
  } catch {
    return null;
  }
  const read = z
    .string()
    .transform((t) => JSON.parse(t) as unknown)
    .pipe(note)
    .safeParse(text);
  if (!read.success) return 'How the backup of the night went cannot be read: make one by hand, and look at it.';
  const { at, good, why } = read.data;
  const last = good ? `The last good one is of ${day(good)}.` : 'There is no good one yet.';
  if (why !== null) return `The backup of the night failed, ${day(at)}: ${why} ${last}`;
  return now.getTime() - new Date(at).getTime() > OLD_MS ? `No backup was made since ${day(at)}.` : null;
}
