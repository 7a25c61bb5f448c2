import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join, relative, sep } from 'node:path';
import { fileURLToPath } from 'node:url';

const ROUTES = fileURLToPath(new URL('../../../src/routes', import.meta.url));

/** Every address that answers a request, as its folder names it: `/api/jobs/[id]/events`. */
export const addresses = (): string[] => {
  const files = readdirSync(ROUTES, { recursive: true, withFileTypes: true }).filter((f) =>
    /^\+(server|page\.server|page)\.(ts|svelte)$/.test(f.name)
  );
  const folders = files.map((f) => `/${relative(ROUTES, join(f.parentPath)).split(sep).join('/')}`);
  return [...new Set(folders)].map((f) => f.replace(/\/\([^)]*\)/g, '') || '/').sort();
};

/** Those of the API that read a body. */
export const takingBodies = (): string[] =>
  addresses().filter(
    (a) =>
      a.startsWith('/api/') &&
      existsSync(join(ROUTES, a, '+server.ts')) &&
      /export const (POST|PUT)\b/.test(readFileSync(join(ROUTES, a, '+server.ts'), 'utf8'))
  );

/** The same with something in the place of each parameter. */
export const filled = (address: string, by: Record<string, string>): string =>
  address.replace(/\[+(?:\.\.\.)?(\w+)[^\]]*\]+/g, (_, name: string) => by[name] ?? 'none');
