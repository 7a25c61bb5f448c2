import { createHash } from 'node:crypto';
import { mkdirSync, statfsSync } from 'node:fs';
import { homedir } from 'node:os';
import { basename, dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { Stop } from './stop.mjs';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..', '..');
export const local = join(root, '.local');

/** Tells one checkout from another wherever both keep something. */
export const mark = createHash('sha256').update(root).digest('hex');

/**
 * Where the workshop's data lives: not in the checkout, where cleaning it would delete them. NEMRIK_DATA names another
 * folder; root, whose own folders the database may not enter, keeps it where services do.
 */
export function dataHome() {
  if (process.env.NEMRIK_DATA) return process.env.NEMRIK_DATA;
  const users = process.env.XDG_DATA_HOME ?? join(homedir(), '.local/share');
  return join(process.getuid() === 0 ? '/var/lib' : users, 'nemrik', `${basename(root)}-${mark.slice(0, 12)}`);
}

/** Where the backups of the night and those before an upgrade are kept. */
export const backupsFolder = () => join(dataHome(), 'backups');

/** The git-ignored folder for everything made here that can be made again: the cluster, passwords, marks of what is up to date. */
export function makeLocal(needMb = 150) {
  mkdirSync(local, { recursive: true, mode: 0o755 });
  const disk = statfsSync(local);
  const freeMb = (disk.bavail * disk.bsize) / 1048576;
  if (freeMb < needMb)
    throw new Stop(
      `Only ${Math.floor(freeMb)} MB are free on this disk, ${needMb} MB are needed: free some space and run this again.`
    );
}
