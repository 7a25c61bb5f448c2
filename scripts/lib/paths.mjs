import { mkdirSync, statfsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { Stop } from './stop.mjs';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..', '..');
export const local = join(root, '.local');

/** The git-ignored folder for everything made here: the cluster, passwords, marks of what is up to date. */
export function makeLocal(needMb = 150) {
  mkdirSync(local, { recursive: true, mode: 0o755 });
  const disk = statfsSync(local);
  const freeMb = (disk.bavail * disk.bsize) / 1048576;
  if (freeMb < needMb)
    throw new Stop(
      `Only ${Math.floor(freeMb)} MB are free on this disk, ${needMb} MB are needed: free some space and run this again.`
    );
}
