import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './paths.mjs';

/** A hash of the files under paths of the project, names and contents. */
export function hashOf(paths) {
  const h = createHash('sha256');
  const walk = (p) => {
    if (!existsSync(p)) return;
    if (statSync(p).isDirectory()) for (const n of readdirSync(p).sort()) walk(join(p, n));
    else h.update(p.slice(root.length)).update(readFileSync(p));
  };
  for (const p of paths) walk(join(root, p));
  return h.digest('hex');
}
